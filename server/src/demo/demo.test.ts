import {
  BUILT_IN_RULEBOOK,
  forecastSeries,
  rulesOf,
  seededRandom,
  seriesOf,
  verdictFor,
  visitPoints,
} from '@weskopos/core';
import { operationSchema, type Life, type YardEntry } from '@weskopos/contract';
import fs from 'node:fs/promises';
import path from 'node:path';
import sharp from 'sharp';
import { startWorkshop, type TestWorkshop } from '../tests/workshop';
import { drawPhoto } from './drawPhoto';
import { seedDemo } from './seedDemo';
import { visitOperations } from './visitOperations';
import { DEMO_PEOPLE, STORIES } from './world';

const RULES = rulesOf(BUILT_IN_RULEBOOK, 'interim');
const NOW = new Date('2026-06-01T10:00:00Z');
const ID = '00000000-0000-4000-8000-000000000001';

describe('a story becomes operations', () => {
  const visits = STORIES.flatMap((story) =>
    story.visits.map((_, index) => ({ story, index, name: `${story.vehicle.fleetCode}, visit ${index + 1}` })),
  );

  test.each(visits)('$name: every one is sound, in order, and signed unless half done', ({ story, index }) => {
    const { operations } = visitOperations(story, ID, index, NOW, seededRandom(1));
    for (const operation of operations) expect(operationSchema.safeParse(operation).error).toBeUndefined();
    const halfDone = story.visits[index]?.halfDone;
    expect(operations[0]?.kind).toBe('inspection.start');
    expect(operations.at(-1)?.kind).toBe(halfDone ? 'finding.put' : 'inspection.sign');
    const points = visitPoints({
      vehicle: story.vehicle,
      ...rulesOf(BUILT_IN_RULEBOOK, story.template),
      focus: null,
    }).length;
    const findings = operations.filter(({ kind }) => kind === 'finding.put').length;
    if (halfDone) expect(findings).toBeLessThan(points);
    else expect(findings).toBe(points);
    for (const { at } of operations) expect(Date.parse(at)).toBeLessThanOrEqual(NOW.getTime());
  });

  test('the same seed tells the same story', () => {
    const tell = (seed: number) => visitOperations(STORIES[0]!, ID, 0, NOW, seededRandom(seed));
    expect(tell(5)).toEqual(tell(5));
    expect(tell(5)).not.toEqual(tell(6));
  });
});

test.each(['pad', 'tread', 'leak', 'belt'] as const)(
  'the drawn %s is a picture of its own that shows wear',
  async (subject) => {
    const [fresh, worn] = await Promise.all([drawPhoto(subject, 0, 1), drawPhoto(subject, 1, 1)]);
    expect(await sharp(fresh).metadata()).toMatchObject({ format: 'jpeg', width: 960, height: 720 });
    expect(fresh.equals(worn)).toBe(false);
  },
);

describe('the demo workshop', () => {
  let workshop: TestWorkshop;
  let yard: YardEntry[];
  const lifeOf = async (code: string) => {
    const id = yard.find(({ vehicle }) => vehicle.fleetCode === code)?.vehicle.id ?? '';
    return (await workshop.client.get(`/api/vehicles/${id}/life`)).body as Life;
  };
  beforeAll(async () => {
    workshop = await startWorkshop();
    await seedDemo(workshop.context);
    const { name, secret } = DEMO_PEOPLE[0];
    await workshop.client.send('POST', '/api/session', { name, secret });
    yard = (await workshop.client.get('/api/yard')).body as YardEntry[];
  });
  afterAll(() => workshop.stop());

  test('has five vehicles, two to six visits each, one of them half done', async () => {
    expect(yard).toHaveLength(5);
    expect(yard.filter(({ open }) => open)).toHaveLength(1);
    for (const { vehicle } of yard) {
      const { visits } = await lifeOf(vehicle.fleetCode);
      expect(visits.length).toBeGreaterThanOrEqual(2);
      expect(visits.length).toBeLessThanOrEqual(6);
    }
  });

  test('filling it again changes nothing', async () => {
    await seedDemo(workshop.context);
    expect((await workshop.client.get('/api/yard')).body).toEqual(yard);
  });

  test('shows its stories: the dragging calliper runs out first, the oil burner fails on the stick', async () => {
    const minibus = await lifeOf('FH 07');
    const signed = minibus.visits.filter(({ inspection }) => inspection.signedAt);
    const [soonest] = forecastSeries(minibus.vehicle, seriesOf(signed), RULES);
    expect(soonest?.series.key).toBe('pad.inner@1L:whole');
    const estate = await lifeOf('FH 02');
    const last = estate.visits.at(-1)!;
    const verdict = verdictFor(estate.vehicle, last.inspection, last.findings, RULES);
    expect(verdict.points.find(({ key }) => key === 'cold.oil')?.result.grade).toBe('fail');
  });

  test('what the server graded at signing is what anybody grades from its answer', async () => {
    for (const { vehicle, last } of yard) {
      const visit = (await lifeOf(vehicle.fleetCode)).visits.find(
        ({ inspection }) => inspection.id === last?.inspectionId,
      )!;
      const { grade, counts } = verdictFor(
        vehicle,
        visit.inspection,
        visit.findings,
        rulesOf(BUILT_IN_RULEBOOK, visit.inspection.template),
      );
      expect(last).toMatchObject({ grade, counts });
    }
  });

  test('its photos went through the real door', async () => {
    const files = (await fs.readdir(path.join(workshop.folder, 'photos'), { recursive: true })).filter((name) =>
      name.endsWith('.thumb.jpg'),
    );
    expect(files.length).toBeGreaterThan(4);
  });
});
