import {
  BUILT_IN_RULEBOOK,
  openEnds,
  waitsOf,
  forecastSeries,
  rulesOf,
  seriesOf,
  pointKey,
  verdictFor,
  visitPoints,
} from '@weskopos/core';
import { coldGate } from '@weskopos/core/walk';
import { outlookOf } from '@weskopos/core/outlook';
import { contextOf } from '@weskopos/core/tests/builders';
import { seededRandom } from '@weskopos/core/simulated';
import {
  fleetBoardSchema,
  operationSchema,
  scorecardSchema,
  type Life,
  type Visit,
  type YardEntry,
} from '@weskopos/contract';
import fs from 'node:fs/promises';
import path from 'node:path';
import sharp from 'sharp';
import { bareFolder, startWorkshop, type TestWorkshop } from '@weskopos/server/tests/workshop';
import { fetchBundle, sendBundle, takeBundle, unzipped } from '@weskopos/server/tests/bundles';
import { drawPhoto } from './drawPhoto';
import { seedDemo } from './seedDemo';
import { visitOperations } from './visitOperations';
import { MORE_STORIES } from './moreStories';
import { DEMO_PEOPLE, FIRST_STORIES } from './world';

const RULES = rulesOf(BUILT_IN_RULEBOOK, 'interim');
const NOW = new Date('2026-06-01T10:00:00Z');
const STORIES = [...FIRST_STORIES, ...MORE_STORIES];
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
    const [start] = operations;
    expect(operations.some(({ kind }) => kind === 'inspection.sign')).toBe(!halfDone);
    const points = visitPoints({
      vehicle: story.vehicle,
      ...rulesOf(BUILT_IN_RULEBOOK, start?.kind === 'inspection.start' ? start.body.template : ''),
      focus: start?.kind === 'inspection.start' ? start.body.focus : null,
    }).length;
    const findings = new Set(
      operations.flatMap(({ kind, body }) => (kind === 'finding.put' ? [pointKey(body.point, body.place)] : [])),
    ).size;
    expect(findings).toBeGreaterThan(3);
    if (halfDone) expect(findings).toBeLessThanOrEqual(points);
    else expect(findings).toBe(points);
    for (const { at } of operations) expect(Date.parse(at)).toBeLessThanOrEqual(NOW.getTime());
  });

  test('the same seed tells the same story', () => {
    const tell = (seed: number) =>
      visitOperations(STORIES[0] as (typeof STORIES)[number], ID, 0, NOW, seededRandom(seed));
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
    // Filled by the built program, through the real doors.
    const dataFolder = await bareFolder();
    await fs.cp(process.env['WESKOPOS_FILLED_DEMO'] ?? '', dataFolder, { recursive: true });
    workshop = await startWorkshop({ dataFolder });
    const { name, secret } = DEMO_PEOPLE[0];
    await workshop.client.send('POST', '/api/session', { name, secret });
    yard = (await workshop.client.get('/api/yard')).body as YardEntry[];
  });
  afterAll(() => workshop.stop());

  test('has its fleet: one visit half done, one draining with two ends open, one ready to sign, one that waits for a lead', async () => {
    expect(yard).toHaveLength(14);
    const open = async (code: string) => (await lifeOf(code)).visits.at(-1) as Visit;
    expect(yard.filter((entry) => entry.open).map(({ vehicle }) => vehicle.fleetCode)).toEqual([
      'FH 04',
      'FH 05',
      'FH 07',
      'FH 13',
    ]);
    const draining = await open('FH 05');
    expect(openEnds(draining.acts)).toHaveLength(2);
    expect(waitsOf(draining.acts)).toEqual([expect.objectContaining({ kind: 'drain', done: false })]);
    const ready = await open('FH 04');
    const vehicle = (await lifeOf('FH 04')).vehicle;
    expect(verdictFor(vehicle, ready.inspection, ready.findings, RULES).counts['not-seen']).toBe(0);
    const held = await open('FH 13');
    const shut = coldGate(contextOf((await lifeOf('FH 13')).vehicle, held.findings), held.acts);
    expect(shut.answers.map(({ answer }) => answer)).toEqual(['yes', 'yes', 'yes', 'no']);
  });

  test('goes whole into another workshop by a bundle, and comes out of it the same', async () => {
    const archive = await fetchBundle(workshop.client);
    const other = await startWorkshop();
    try {
      const { setupCode } = other.context;
      await other.client.send('POST', '/api/setup', { code: setupCode, name: 'Greta', secret: '112358' });
      const plan = await sendBundle(other.client, archive);
      expect(plan.body).toMatchObject({ records: { vehicles: { fresh: 14 } }, differing: [], blocking: [] });
      expect((await takeBundle(other.client, plan.body.id)).status).toBe(200);
      const contents = async (bundle: Buffer) =>
        [...(await unzipped(bundle))].map(([name, bytes]) => [name, name === 'manifest.json' ? '' : String(bytes)]);
      const before = await contents(archive);
      expect(before.length).toBeGreaterThan(10);
      expect(await contents(await fetchBundle(other.client))).toEqual(before);
      const standing = async ({ client }: TestWorkshop) =>
        ((await client.get('/api/yard')).body as YardEntry[]).map((entry) => [entry.vehicle.fleetCode, entry.standing]);
      expect(await standing(other)).toEqual(await standing(workshop));
    } finally {
      await other.stop();
    }
  }, 120_000);

  test('each vehicle has two visits or more, and their forecasts are on record and scored', async () => {
    for (const { vehicle } of yard) {
      const { visits } = await lifeOf(vehicle.fleetCode);
      expect(visits.length).toBeGreaterThanOrEqual(2);
      expect(visits.length).toBeLessThanOrEqual(10);
    }
  });

  test('the fleet’s forecasts have come true often enough to be judged', async () => {
    await workshop.context.fleet.learn();
    const { byKind } = scorecardSchema.parse((await workshop.client.get('/api/fleet/scorecard')).body);
    expect(byKind.find(({ name }) => name === 'tread')?.arrived).toBeGreaterThan(5);
    const scorecard = scorecardSchema.parse((await workshop.client.get('/api/fleet/scorecard')).body);
    // Two inspectors who hold the stick differently, seen where both read it.
    const stick = scorecard.hands.find(({ measure }) => measure === 'level');
    expect(stick).toMatchObject({ names: ['Callum', 'Isla'] });
    expect(stick?.bias).toBeLessThan(-0.05);
    expect(scorecard.byInspector.map(({ name }) => name)).toEqual(['Callum', 'Isla']);
    expect(scorecard.repeats.find(({ measure }) => measure === 'tread')?.sigma).toBeCloseTo(0.1, 1);
    const { vehicles } = fleetBoardSchema.parse((await workshop.client.get('/api/fleet/board')).body);
    const changes = (code: string) => vehicles.find(({ fleetCode }) => fleetCode === code)?.changes ?? [];
    // A brake that drags, and the fuel it costs.
    expect(changes('FH 07')).toEqual([
      expect.objectContaining({ kind: 'wear', measures: ['lining'], places: ['1L'] }),
      expect.objectContaining({ kind: 'use', what: 'fuel' }),
    ]);
    expect(vehicles.flatMap(({ changes: all }) => all).length).toBeLessThan(6);
  });

  test('filling it again changes nothing', async () => {
    await seedDemo(workshop.context);
    expect((await workshop.client.get('/api/yard')).body).toEqual(yard);
  });

  test('shows its stories: the dragging calliper runs out first, the oil burner fails on the stick', async () => {
    const minibus = await lifeOf('FH 07');
    const signed = minibus.visits.filter(({ inspection }) => inspection.signedAt);
    const [soonest] = forecastSeries(
      minibus.vehicle,
      seriesOf(signed, [], { vehicle: minibus.vehicle, house: RULES.house }),
      RULES,
    );
    expect(soonest?.series.key).toBe('pad.inner@1L:whole');
    const estate = await lifeOf('FH 02');
    const last = estate.visits.at(-1)!;
    const verdict = verdictFor(estate.vehicle, last.inspection, last.findings, RULES);
    expect(verdict.points.find(({ key }) => key === 'cold.oil')?.result.grade).toBe('fail');
  });

  test('tells of what ages, thins and was not looked at', async () => {
    const stateOf = async (code: string, measure: string) => {
      const { vehicle, visits, entries } = await lifeOf(code);
      const signed = visits.filter(({ inspection }) => inspection.signedAt);
      return outlookOf(vehicle, signed, entries, RULES).states.find((one) => one.measure === measure);
    };
    // A battery that will not see its third winter out, beside a sound one.
    expect(await stateOf('FH 03', 'crank')).toMatchObject({ told: 'of-rated', forecast: { status: 'running-out' } });
    expect((await stateOf('FH 03', 'crank'))?.readings.at(-1)?.value).toBeLessThan(0.8);
    expect((await stateOf('FH 01', 'crank'))?.readings.at(-1)?.value).toBeGreaterThan(0.85);
    expect((await stateOf('FH 08', 'water'))?.forecast).toMatchObject({ status: 'reached' });
    const mixture = (await stateOf('FH 13', 'glycol'))?.readings.map(({ value }) => value) ?? [];
    expect((mixture[0] ?? 0) - (mixture.at(-1) ?? 0)).toBeGreaterThan(10);
    const gradeOf = async (code: string, key: string) => {
      const { vehicle, visits } = await lifeOf(code);
      const last = visits.findLast(({ inspection }) => inspection.signedAt);
      const points = last ? verdictFor(vehicle, last.inspection, last.findings, RULES).points : [];
      return points.find((point) => point.key === key)?.result.grade;
    };
    expect(await gradeOf('FH 03', 'walk.spare')).toBe('advisory');
    expect(await gradeOf('FH 01', 'hose.coolant.bottom')).toBe('fail');
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
