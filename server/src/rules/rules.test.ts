import { BUILT_IN_RULEBOOK, type Finding, type Rulebook } from '@weskopos/core';
import { randomUUID } from 'node:crypto';
import {
  inspectorIn,
  type Client,
  newFinding,
  openVisit,
  operationOf,
  startWorkshop,
  type TestWorkshop,
} from '../tests/workshop';

let workshop: TestWorkshop;
let isla: Client;
beforeAll(async () => {
  workshop = await startWorkshop();
  await workshop.client.setUp(workshop.context.setupCode);
  isla = await inspectorIn(workshop);
});
afterAll(() => workshop.stop());

const [sheet] = BUILT_IN_RULEBOOK.sheets;
const stricter = (version: number, advisoryMm: number): Rulebook => ({
  ...BUILT_IN_RULEBOOK,
  version,
  sheets: [
    {
      ...sheet!,
      rows: sheet!.rows.map((row) =>
        row.measure === 'lining' && row.kind === 'value'
          ? {
              ...row,
              thresholds: row.thresholds.map((edge) =>
                edge.grade === 'advisory' ? { ...edge, value: advisoryMm } : edge,
              ),
            }
          : row,
      ),
    },
  ],
});
const put = (client: Client, rulebook: Rulebook) => client.operations(operationOf('rulebook.put', rulebook));

describe('the workshop’s rules', () => {
  test('a preview tells what would change over the visits there are, and changes nothing', async () => {
    const { inspection } = await openVisit(workshop.client);
    await workshop.client.operations(operationOf('finding.put', newFinding(inspection.id)));
    const preview = await workshop.client.send('POST', '/api/rulebooks/preview', stricter(1, 7));
    expect(preview.status).toBe(200);
    expect(preview.body).toMatchObject({
      visits: 1,
      points: 1,
      totals: [{ before: 'pass', after: 'advisory', points: 1 }],
    });
    expect(preview.body.changes[0]).toMatchObject({ inspectionId: inspection.id, key: 'pad.inner@1L' });
    expect((await workshop.client.get('/api/rulebooks')).body).toEqual([]);
  });

  test('only a lead edits or previews them', async () => {
    expect((await isla.send('POST', '/api/rulebooks/preview', stricter(1, 7))).status).toBe(403);
    expect(await put(isla, stricter(1, 7))).toMatchObject([{ status: 'refused', refusal: 'lead-only' }]);
  });

  test('versions follow each other; one made from an old version is refused and named', async () => {
    expect(await put(workshop.client, stricter(1, 7))).toMatchObject([{ status: 'applied' }]);
    expect(await put(workshop.client, stricter(1, 8))).toMatchObject([{ refusal: 'rules-changed' }]);
    expect(await put(workshop.client, stricter(3, 8))).toMatchObject([{ refusal: 'rules-changed' }]);
    expect((await isla.get('/api/rulebooks')).body).toEqual([stricter(1, 7)]);
  });

  test('a fail on the wrong side of advisory is refused with its field', async () => {
    const answer = await workshop.client.send('POST', '/api/rulebooks/preview', stricter(2, 1));
    expect(answer.status).toBe(400);
    expect(JSON.stringify(answer.body)).toMatch(/sheets\.0\.rows\.\d+\.thresholds\.1\.value/);
  });

  test('a visit is judged by the version it was made under, also when it is signed later', async () => {
    const { inspection, vehicle } = await openVisit(workshop.client);
    const later = { ...inspection, id: randomUUID(), rulebook: 1 };
    await workshop.client.operations(operationOf('inspection.start', later));
    for (const { id } of [inspection, later])
      await workshop.client.operations(
        operationOf('finding.put', newFinding(id)),
        operationOf('inspection.sign', { inspectionId: id, signedAt: '2026-06-01T09:00:00.000Z' }),
      );
    const grade = async (id: string) =>
      (await workshop.client.get(`/api/inspections/${id}/report`)).body.grade as string;
    expect([await grade(inspection.id), await grade(later.id)]).toEqual(['pass', 'advisory']);
    const yard = (await workshop.client.get('/api/yard')).body as {
      vehicle: { id: string };
      last: { grade: string };
    }[];
    expect(yard.find((entry) => entry.vehicle.id === vehicle.id)?.last.grade).toMatch(/pass|advisory/);
  });
});

describe('a grade of one’s own', () => {
  const override = { grade: 'pass', reason: 'new pads are on the bench' } as const;
  const worn = (mm: number): Partial<Finding> => ({
    readings: [{ measure: 'lining', spot: 'whole', phase: 'found', values: [mm], bound: 'exact', step: null }],
    override,
  });
  test.each([
    ['an inspector may where the house advises', () => isla, 3, null],
    ['not where the law fails', () => isla, 1, 'lead-only'],
    ['a lead may there too', () => workshop.client, 1, null],
  ] as const)('%s', async (_, client, mm, refusal) => {
    const { inspection } = await openVisit(workshop.client);
    const finding = newFinding(inspection.id, worn(mm));
    const change = operationOf('finding.put', finding);
    expect(await client().operations(change)).toMatchObject([{ refusal }]);
    expect(await client().operations(change)).toMatchObject([{ status: 'repeated', refusal }]);
    const { findings } = (await workshop.client.get(`/api/inspections/${inspection.id}`)).body as {
      findings: Finding[];
    };
    expect(findings.map((one) => one.override)).toEqual(refusal ? [] : [override]);
    if (refusal) return;
    const report = await workshop.client.get(`/api/inspections/${inspection.id}/report`);
    const point = report.body.points.find((one: { key: string }) => one.key === 'pad.inner@1L');
    expect(point).toMatchObject({ grade: 'pass', computed: mm < 1.5 ? 'fail' : 'advisory' });
  });
});
