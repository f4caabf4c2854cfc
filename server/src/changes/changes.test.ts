import { DRY, type Place } from '@weskopos/core';
import { lifeSchema, reportSchema, trendSchema, yardEntrySchema } from '@weskopos/contract';
import { randomUUID } from 'node:crypto';
import { z } from 'zod';
import {
  newFinding,
  newInspection,
  newVehicle,
  openVisit,
  operationOf,
  startWorkshop,
  type TestWorkshop,
} from '../tests/workshop';

let workshop: TestWorkshop;
beforeAll(async () => {
  workshop = await startWorkshop();
  await workshop.client.setUp(workshop.context.setupCode);
});
afterAll(() => workshop.stop());

const pad = (inspectionId: string, mm: number, place: Place = '1L') =>
  operationOf(
    'finding.put',
    newFinding(inspectionId, {
      place,
      readings: [{ measure: 'lining', spot: 'whole', phase: 'found', values: [mm], bound: 'exact', step: null }],
    }),
  );
const entries = async () =>
  (await workshop.context.engine.query<{ n: number }>('select count(*)::int as n from finding'))[0]?.n;

describe('a visit from start to report', () => {
  test('is kept, graded, signed and read back as it was sent', async () => {
    const { client } = workshop;
    const vehicle = newVehicle();
    const visits = [0, 1, 2].map((n) =>
      newInspection(vehicle.id, { meter: 50_000 + n * 5000, startedAt: `2026-0${n + 1}-01T08:00:00.000Z` }),
    );
    await client.operations(operationOf('vehicle.put', vehicle));
    const leak = newFinding(visits[2]!.id, {
      point: 'leak.engine',
      place: '',
      readings: [],
      leaks: [{ ...DRY, stage: 'damp', fluid: 'fuel', place: 'filter-seat', reaches: 'exhaust', wiped: true }],
      note: 'wet since the ferry',
      photos: [{ id: randomUUID(), caption: 'from below', marks: [{ kind: 'ring', x: 0.4, y: 0.5, radius: 0.1 }] }],
    });
    const chance = {
      point: 'pad.inner',
      place: '1L',
      measure: 'lining',
      spot: 'whole',
      value: 5,
      limit: 1.5,
      chance: 0.99,
      nextVisit: '2026-07-01T08:00:00.000Z',
    } as const;
    for (const [n, inspection] of visits.entries()) {
      const outcomes = await client.operations(
        operationOf('inspection.start', inspection),
        pad(inspection.id, 8 - n * 3),
        ...(n === 2 ? [operationOf('finding.put', leak)] : []),
        operationOf('inspection.sign', {
          inspectionId: inspection.id,
          signedAt: '2026-06-01T09:00:00.000Z',
          ...(n === 1 ? { ahead: [chance, { ...chance, place: '2R' as const }] } : {}),
        }),
      );
      expect(outcomes.every(({ status }) => status === 'applied')).toBe(true);
    }

    const life = lifeSchema.parse((await client.get(`/api/vehicles/${vehicle.id}/life`)).body);
    expect(life.vehicle).toEqual(vehicle);
    expect(life.visits.map(({ inspection }) => inspection.meter)).toEqual([50_000, 55_000, 60_000]);
    expect(life.visits[2]).toMatchObject({ inspector: 'Maren', signedBy: 'Maren' });
    expect(life.visits[2]?.findings.find(({ id }) => id === leak.id)).toEqual({ ...leak, by: 'Maren' });

    const report = reportSchema.parse((await client.get(`/api/inspections/${visits[2]!.id}/report`)).body);
    expect(report.grade).toBe('fail');
    // Chances are held against the workshop's own: a made-up one gives way, one of a pad nobody read is not kept.
    const [none, [held, ...more] = [], nothing] = life.visits.map(({ inspection }) => inspection.ahead ?? []);
    expect([none, more, nothing]).toEqual([[], [], []]);
    expect(held).toMatchObject({ point: 'pad.inner', place: '1L', value: 5, limit: 1.5 });
    expect(held?.chance).toBeLessThan(chance.chance - 0.25);
    expect(report.points.find(({ key }) => key === 'pad.inner@1L')).toMatchObject({ grade: 'advisory' });
    expect(report.points.find(({ key }) => key === 'leak.engine')?.grade).toBe('fail');
    expect(report.notSeen).toContain('pad.outer@1L');

    const trends = z.array(trendSchema).parse((await client.get(`/api/vehicles/${vehicle.id}/trends`)).body);
    expect(trends[0]).toMatchObject({
      limit: 1.5,
      series: { key: 'pad.inner@1L:whole' },
      forecast: { status: 'running-out' },
    });

    const yard = z.array(yardEntrySchema).parse((await client.get('/api/yard')).body);
    expect(yard.find((entry) => entry.vehicle.id === vehicle.id)).toMatchObject({
      last: { grade: 'fail', meter: 60_000 },
      open: null,
    });
  });

  test('a life is of another version after each change that took effect, and after no other', async () => {
    const { client } = workshop;
    const { vehicle, inspection } = await openVisit(client);
    const { vehicle: other } = await openVisit(client);
    const versionOf = async (id: string) =>
      z
        .array(yardEntrySchema)
        .parse((await client.get('/api/yard')).body)
        .find((entry) => entry.vehicle.id === id)?.version;
    const untouched = await versionOf(other.id);
    expect(untouched).toMatch(/^[0-9a-f-]{36}$/);
    const finding = operationOf('finding.put', newFinding(inspection.id));
    const again = operationOf('vehicle.put', { ...vehicle, use: 'deliveries' });
    await client.operations(finding);
    expect(await versionOf(vehicle.id)).toBe(finding.id);
    // The last of those that come together counts, whether they name the visit or the vehicle.
    await client.operations(operationOf('finding.put', newFinding(inspection.id, { place: '1R' })), again);
    expect(await versionOf(vehicle.id)).toBe(again.id);
    const refused = operationOf('finding.put', newFinding(inspection.id, { parent: randomUUID() }));
    expect(await client.operations(refused)).toMatchObject([{ status: 'refused' }]);
    await client.operations(finding);
    expect(await versionOf(vehicle.id)).toBe(again.id);
    expect(await versionOf(other.id)).toBe(untouched);
  });

  test('repeat readings keep their order, later entries name their parent', async () => {
    const { inspection } = await openVisit(workshop.client);
    const first = newFinding(inspection.id, {
      readings: [
        { measure: 'lining', spot: 'whole', phase: 'found', values: [3.6, 3.4, 3.5], bound: 'exact', step: null },
      ],
    });
    const second = newFinding(inspection.id, { parent: first.id, note: 'again' });
    await workshop.client.operations(operationOf('finding.put', first), operationOf('finding.put', second));
    const { body } = await workshop.client.get(`/api/inspections/${inspection.id}`);
    expect(body.findings.map((finding: { parent: string | null }) => finding.parent).sort()).toEqual(
      [first.id, null].sort(),
    );
    expect(body.findings.find(({ id }: { id: string }) => id === first.id).readings[0].values).toEqual([3.6, 3.4, 3.5]);
  });
});

describe('each operation takes effect once', () => {
  test('the same id again, alone, in a batch or with another body, changes nothing', async () => {
    const { inspection } = await openVisit(workshop.client);
    const operation = pad(inspection.id, 6);
    expect(await workshop.client.operations(operation)).toMatchObject([{ status: 'applied' }]);
    const before = await entries();
    expect(await workshop.client.operations(operation, operation)).toMatchObject([
      { status: 'repeated' },
      { status: 'repeated' },
    ]);
    expect(await workshop.client.operations({ ...pad(inspection.id, 1), id: operation.id })).toMatchObject([
      { status: 'repeated', refusal: null },
    ]);
    expect(await entries()).toBe(before);
  });

  test('fifty devices sending the same operation at once leave one entry', async () => {
    const { inspection } = await openVisit(workshop.client);
    const operation = pad(inspection.id, 6);
    const before = (await entries()) ?? 0;
    const outcomes = await Promise.all(Array.from({ length: 50 }, () => workshop.client.operations(operation)));
    expect(outcomes.flat().filter(({ status }) => status === 'applied')).toHaveLength(1);
    expect(await entries()).toBe(before + 1);
  });
});

describe('what cannot take effect is refused by name and stays refused', () => {
  test.each([
    ['no-inspection', () => Promise.resolve(pad(randomUUID(), 5))],
    ['no-vehicle', () => Promise.resolve(operationOf('inspection.start', newInspection(randomUUID())))],
    [
      'no-inspection',
      () =>
        Promise.resolve(
          operationOf('inspection.sign', { inspectionId: randomUUID(), signedAt: '2026-06-01T09:00:00.000Z' }),
        ),
    ],
    ['no-place', async () => pad((await openVisit(workshop.client)).inspection.id, 5, '4R')],
    [
      'no-place',
      async () =>
        operationOf(
          'finding.put',
          newFinding((await openVisit(workshop.client)).inspection.id, {
            point: 'tyre.pressure',
            place: '2Lo',
            readings: [],
          }),
        ),
    ],
    [
      'no-parent',
      async () =>
        operationOf(
          'finding.put',
          newFinding((await openVisit(workshop.client)).inspection.id, { parent: randomUUID() }),
        ),
    ],
    [
      'fleet-code-taken',
      async () =>
        operationOf('vehicle.put', newVehicle({ fleetCode: (await openVisit(workshop.client)).vehicle.fleetCode })),
    ],
    ['already-there', async () => operationOf('inspection.start', (await openVisit(workshop.client)).inspection)],
  ])('%s', async (refusal, make) => {
    const operation = await make();
    const before = await entries();
    expect(await workshop.client.operations(operation)).toEqual([{ id: operation.id, status: 'refused', refusal }]);
    expect(await workshop.client.operations(operation)).toEqual([{ id: operation.id, status: 'repeated', refusal }]);
    expect(await entries()).toBe(before);
  });

  test('signed is fixed: nothing is added and it is not signed twice', async () => {
    const { inspection } = await openVisit(workshop.client);
    const sign = () =>
      operationOf('inspection.sign', { inspectionId: inspection.id, signedAt: '2026-06-01T09:00:00.000Z' });
    await workshop.client.operations(pad(inspection.id, 6), sign());
    const refused = await workshop.client.operations(pad(inspection.id, 7), sign());
    expect(refused.map(({ refusal }) => refusal)).toEqual(['already-signed', 'already-signed']);
  });
});

describe('bad input is answered with what is wrong, and nothing of it is taken', () => {
  const finding = newFinding(randomUUID());
  const send = (body: unknown) => workshop.client.send('POST', '/api/operations', body);
  const one = (change: object) => ({ operations: [{ ...operationOf('finding.put', finding), ...change }] });
  const withBody = (change: object) => one({ body: { ...finding, ...change } });

  test.each([
    ['not JSON at all', '{"operations": [', undefined],
    ['no object', '42', undefined],
    ['no operations', { operations: [] }, 'operations'],
    [
      'too many operations',
      { operations: Array.from({ length: 101 }, () => operationOf('finding.put', finding)) },
      'operations',
    ],
    ['unknown field', one({ hint: 'x' }), 'operations.0.hint'],
    ['unknown kind', one({ kind: 'finding.erase' }), 'operations.0.kind'],
    ['id is no UUID', one({ id: '7' }), 'operations.0.id'],
    ['time is no time', one({ at: 'yesterday' }), 'operations.0.at'],
    ['unknown point', withBody({ point: 'belt.nowhere' }), 'operations.0.body.point'],
    [
      'lining of 99 mm',
      withBody({
        readings: [{ measure: 'lining', spot: 'whole', phase: 'found', values: [99], bound: 'exact', step: null }],
      }),
      'operations.0.body.readings.0.values.0',
    ],
    [
      'reading is a word',
      withBody({ readings: [{ measure: 'lining', spot: 'whole', phase: 'found', values: ['thin'] }] }),
      'operations.0.body.readings.0.values.0',
    ],
    ['place is a sentence', withBody({ place: "1L'; drop table finding" }), 'operations.0.body.place'],
    ['note of a megabyte', withBody({ note: 'x'.repeat(2001) }), 'operations.0.body.note'],
  ])('%s', async (_, body, field) => {
    const before = await entries();
    const answer = await send(body);
    expect(answer.status).toBe(400);
    expect(answer.headers.get('content-type')).toContain('application/problem+json');
    expect(answer.body).toMatchObject({ status: 400, code: 'invalid' });
    if (field) expect(answer.body.errors.map((error: { field: string }) => error.field)).toContain(field);
    expect(JSON.stringify(answer.body)).not.toMatch(/\bat .*\.ts|node_modules/);
    expect(await entries()).toBe(before);
  });

  test('the range stands in the answer', async () => {
    const { body } = await send(
      withBody({
        readings: [{ measure: 'lining', spot: 'whole', phase: 'found', values: [99], bound: 'exact', step: null }],
      }),
    );
    expect(body.errors[0].message).toContain('0 to 30 mm');
  });

  test('a body beyond a megabyte is 413', async () => {
    expect((await send(JSON.stringify({ operations: 'x'.repeat(2_000_000) }))).status).toBe(413);
  });

  test.each(['/api/vehicles/7/life', '/api/inspections/x/report'])('%s: the id is no UUID', async (url) => {
    expect((await workshop.client.get(url)).status).toBe(400);
  });

  test.each([
    `/api/vehicles/${randomUUID()}/life`,
    `/api/inspections/${randomUUID()}`,
    `/api/photos/${randomUUID()}`,
    '/api/nowhere',
  ])('%s is not found', async (url) => {
    expect(await workshop.client.get(url)).toMatchObject({ status: 404, body: { code: 'not-found' } });
  });
});
