import { fleetBoardSchema, fleetKnowledgeSchema, scorecardSchema } from '@weskopos/contract';
import type { FleetKnowledge, LifeEntry, Place, Rules } from '@weskopos/core';
import { seededRandom } from '@weskopos/core/simulated';
import { randomUUID } from 'node:crypto';
import {
  inspectorIn,
  type Client,
  newFinding,
  newInspection,
  newVehicle,
  operationOf,
  startWorkshop,
  type TestWorkshop,
} from '../tests/workshop';
import type { SqlValue } from '../db/engine';
import { recomputeFleet } from './recomputeFleet';
import { readVehiclePage } from './vehiclePages';

let workshop: TestWorkshop;
const vehicles = [newVehicle(), newVehicle(), newVehicle()];
const random = seededRandom(8);

/** A visit that reads the four inner pads and is signed; the first vehicle wears twice as hard. */
async function visit(vehicle: (typeof vehicles)[number], n: number): Promise<string> {
  const inspection = newInspection(vehicle.id, {
    meter: 20_000 + n * 6000,
    startedAt: new Date(Date.UTC(2025, 0, 10) + n * 60 * 86_400_000).toISOString(),
  });
  const per = vehicle === vehicles[0] ? 2 : 1;
  const findings = (['1L', '1R', '2L', '2R'] as const).map((place) =>
    operationOf(
      'finding.put',
      newFinding(inspection.id, {
        place,
        readings: [
          {
            measure: 'lining',
            spot: 'whole',
            phase: 'found',
            values: [Math.round((11 - n * per * 0.9 + (random() - 0.5) * 0.3) * 2) / 2].map((mm) => Math.max(0.5, mm)),
            bound: 'exact',
            step: null,
          },
        ],
      }),
    ),
  );
  await workshop.client.operations(
    operationOf('inspection.start', inspection),
    ...findings,
    operationOf('inspection.sign', { inspectionId: inspection.id, signedAt: inspection.startedAt }),
  );
  return inspection.id;
}

beforeAll(async () => {
  workshop = await startWorkshop();
  await workshop.client.setUp(workshop.context.setupCode);
  for (const vehicle of vehicles) {
    await workshop.client.operations(operationOf('vehicle.put', vehicle));
    for (let n = 0; n < 4; n += 1) await visit(vehicle, n);
  }
});
afterAll(() => workshop.stop());

const board = async () => fleetBoardSchema.parse((await workshop.client.get('/api/fleet/board')).body);
const entry = (content: object): LifeEntry =>
  ({
    id: randomUUID(),
    vehicleId: vehicles[1]?.id,
    at: '2025-08-01T08:00:00.000Z',
    meter: 39_000,
    ...content,
  }) as LifeEntry;

test('every signed visit puts its forecasts on record, once', async () => {
  const [row] = await workshop.context.engine.query<{ n: number }>('select count(*)::integer as n from forecast');
  expect(row?.n).toBe(3 * 4 * 4);
});

test('the fleet learns in its own thread: rates by vehicle, use, and each vehicle’s sum', async () => {
  await workshop.context.fleet.learn();
  const knowledge = fleetKnowledgeSchema.parse((await workshop.client.get('/api/fleet/knowledge')).body);
  expect(knowledge.learnedAt).not.toBeNull();
  expect(knowledge.rates['lining']?.parts).toBe(12);
  const shift = (n: number) => knowledge.rates['lining']?.vehicles[vehicles[n]?.id ?? '']?.mean ?? NaN;
  expect(shift(0)).toBeGreaterThan(shift(1) + 0.2);
  expect(knowledge.use.usual).toBeCloseTo(0.1, 2);
  const { vehicles: sums } = await board();
  expect(sums.map(({ fleetCode }) => fleetCode).sort()).toEqual(vehicles.map(({ fleetCode }) => fleetCode).sort());
  const hard = sums.find(({ vehicleId }) => vehicleId === vehicles[0]?.id);
  const mild = sums.find(({ vehicleId }) => vehicleId === vehicles[1]?.id);
  expect(hard?.parts[0]?.days?.mid).toBeLessThan(mild?.parts[0]?.days?.mid ?? 0);
  expect(hard?.nextVisit).not.toBeNull();
});

test('a truth that arrives scores the forecasts before it, and a new visit sums up its own vehicle at once', async () => {
  const before = (await board()).vehicles.find(({ vehicleId }) => vehicleId === vehicles[0]?.id);
  for (let n = 4; n < 7; n += 1) await visit(vehicles[0] as (typeof vehicles)[number], n);
  const after = (await board()).vehicles.find(({ vehicleId }) => vehicleId === vehicles[0]?.id);
  expect(after?.lastVisit).not.toBe(before?.lastVisit);
  expect(after?.parts.some(({ status }) => status === 'reached')).toBe(true);
  await workshop.context.fleet.learn();
  const scorecard = scorecardSchema.parse((await workshop.client.get('/api/fleet/scorecard')).body);
  const lining = scorecard.byKind.find(({ name }) => name === 'lining');
  expect(lining?.arrived).toBeGreaterThan(8);
  expect(lining?.waiting).toBeGreaterThan(8);
  expect(lining?.held).toBeGreaterThan(0.4);
  expect(lining?.off).toBeGreaterThan(0);
});

test('what happens besides visits is kept, re-threads the parts, and can be taken back', async () => {
  const fitted = entry({ kind: 'fit', what: 'pads', place: '1L', fresh: 11.5, note: '' });
  expect(await workshop.client.operations(operationOf('entry.put', fitted))).toMatchObject([{ status: 'applied' }]);
  const { body } = await workshop.client.get(`/api/vehicles/${vehicles[1]?.id}/life`);
  expect(body.entries).toEqual([{ ...fitted, by: 'Maren' }]);
  const undo = entry({ kind: 'undo', refers: fitted.id });
  expect(await workshop.client.operations(operationOf('entry.put', undo))).toMatchObject([{ status: 'applied' }]);
  const page = await readVehiclePage(workshop.context.engine, vehicles[1]?.id ?? '');
  expect(page?.entries).toHaveLength(2);
  expect(page?.looks.flatMap(({ readings }) => readings)).toHaveLength(16);
});

test.each([
  ['no-vehicle', () => entry({ kind: 'meter', vehicleId: randomUUID() })],
  ['no-entry', () => entry({ kind: 'undo', refers: randomUUID() })],
])('%s is refused', async (refusal, make) => {
  expect(await workshop.client.operations(operationOf('entry.put', make()))).toMatchObject([
    { status: 'refused', refusal },
  ]);
});

test.each([
  ['a rotation that leaves a wheel behind', { kind: 'rotate', moves: [{ from: '1L', to: '2L' }] }],
  ['no litres', { kind: 'fuel', litres: 0, full: true, price: null }],
  ['a meter below nothing', { kind: 'meter', meter: -1 }],
])('%s is bad input', async (_, content) => {
  const answer = await workshop.client.send('POST', '/api/operations', {
    operations: [operationOf('entry.put', entry(content))],
  });
  expect(answer.status).toBe(400);
});

test('what tells of persons is for a lead; two persons’ readings of one thing say how they differ', async () => {
  const isla = await inspectorIn(workshop);
  const inspection = newInspection(vehicles[2]?.id ?? '', { meter: 60_000, startedAt: '2026-03-01T08:00:00.000Z' });
  await workshop.client.operations(operationOf('inspection.start', inspection));
  const read = async (client: Client, place: Place, values: number[], parent: string | null) => {
    const finding = newFinding(inspection.id, {
      place,
      parent,
      readings: [{ measure: 'lining', spot: 'whole', phase: 'found', values, bound: 'exact', step: null }],
    });
    await client.operations(operationOf('finding.put', finding));
    return finding.id;
  };
  for (const [place, by, again] of [
    ['1L', 6, 6.5],
    ['1R', 7, 8],
    ['2L', 5, 5],
  ] as const) {
    const first = await read(workshop.client, place, [by, by + 0.4], null);
    await read(isla, place, [again + 0.2], first);
  }
  const ask = async (client: Client) => scorecardSchema.parse((await client.get('/api/fleet/scorecard')).body);
  const [lead, inspector] = [await ask(workshop.client), await ask(isla)];
  // 6.2 and 6.7, 7.2 and 8.2; the third says the same and may be the first one's figure under a new note.
  expect(lead.hands).toEqual([
    {
      measure: 'lining',
      names: ['Isla', 'Maren'],
      pairs: 2,
      bias: expect.closeTo(0.75, 6),
      sigma: expect.closeTo(0.354, 3),
    },
  ]);
  expect(lead.repeats).toEqual([{ measure: 'lining', pairs: 3, sigma: expect.closeTo(0.2828, 3) }]);
  expect(lead.byInspector.map(({ name }) => name)).toEqual(['Maren']);
  // What these vehicles are used for was not told.
  expect(lead.byUse.map(({ name }) => name)).toEqual(['']);
  expect(inspector).toMatchObject({ hands: [], byInspector: [], repeats: lead.repeats });
});

test('a thread that fails is one failure of the summing up, and none that ends the server', async () => {
  const unheard: unknown[] = [];
  const note = (reason: unknown) => unheard.push(reason);
  process.on('unhandledRejection', note);
  const nothing: unknown = null;
  const { engine } = workshop.context;
  // Each page takes its time: the thread has failed the one before by then.
  const slow: typeof engine = {
    ...engine,
    query: async <T extends object>(sql: string, values?: readonly SqlValue[]) => {
      await new Promise((resolve) => setTimeout(resolve, 20));
      return engine.query<T>(sql, values);
    },
  };
  await expect(
    recomputeFleet(slow, nothing as FleetKnowledge, nothing as Rules, '2026-06-01T08:00:00.000Z'),
  ).rejects.toThrow();
  await new Promise((resolve) => setTimeout(resolve, 50));
  process.off('unhandledRejection', note);
  expect(unheard).toEqual([]);
});
