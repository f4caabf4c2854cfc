import type { AmendmentPut } from '@weskopos/contract';
import { BUILT_IN_RULEBOOK, type Finding, type Inspection, type Vehicle } from '@weskopos/core';
import { randomUUID } from 'node:crypto';
import fs from 'node:fs/promises';
import path from 'node:path';
import { ledgerTables } from '../tests/tables';
import {
  blankDatabase,
  inspectorIn,
  type Client,
  newFinding,
  newInspection,
  newVehicle,
  openVisit,
  operationOf,
  startWorkshop,
  type TestWorkshop,
} from '../tests/workshop';

let workshop: TestWorkshop;
let maren: Client;
let isla: Client;
beforeAll(async () => {
  workshop = await startWorkshop();
  maren = workshop.client;
  await maren.setUp(workshop.context.setupCode);
  isla = await inspectorIn(workshop);
});
afterAll(() => workshop.stop());

const pad = (id: string, mm: number, change: Partial<Finding> = {}) =>
  newFinding(id, {
    readings: [{ measure: 'lining', spot: 'whole', phase: 'found', values: [mm], bound: 'exact', step: null }],
    ...change,
  });
const sign = (inspectionId: string, signedAt = '2026-06-01T09:00:00.000Z') =>
  operationOf('inspection.sign', { inspectionId, signedAt });
const life = async (vehicle: Vehicle) => (await maren.get(`/api/vehicles/${vehicle.id}/life`)).body;
const report = async ({ id }: Inspection) => (await maren.get(`/api/inspections/${id}/report`)).body;
const inYard = async (vehicle: Vehicle) =>
  (await maren.get('/api/yard')).body.find((one: { vehicle: Vehicle }) => one.vehicle.id === vehicle.id);

/** A visit with one pad of so much, signed. */
async function signedVisit(mm: number) {
  const { vehicle, inspection } = await openVisit(isla);
  const finding = pad(inspection.id, mm);
  await isla.operations(operationOf('finding.put', finding), sign(inspection.id));
  return { vehicle, inspection, finding };
}

describe('what was signed', () => {
  test('stays as it was when the vehicle’s sheet or the rules change', async () => {
    const { vehicle, inspection } = await signedVisit(1);
    const before = await report(inspection);
    expect(before.grade).toBe('fail');
    const drums = { ...vehicle, axles: vehicle.axles.map((axle) => ({ ...axle, brake: 'drum' as const })) };
    const [sheet] = BUILT_IN_RULEBOOK.sheets;
    const lenient = {
      ...BUILT_IN_RULEBOOK,
      version: 1,
      sheets: [{ ...sheet!, rows: sheet!.rows.filter(({ measure }) => measure !== 'lining') }],
    };
    expect(
      await maren.operations(operationOf('vehicle.put', drums), operationOf('rulebook.put', lenient)),
    ).toMatchObject([{ status: 'applied' }, { status: 'applied' }]);
    expect(await report(inspection)).toEqual(before);
    expect((await inYard(vehicle)).standing).toMatchObject({ grade: 'fail' });
  });

  test('a visit that looked at less leaves the vehicle standing as it did, until it is settled', async () => {
    const { vehicle, inspection } = await signedVisit(1);
    const next = newInspection(vehicle.id, { startedAt: '2026-06-02T08:00:00.000Z', meter: 50_100 });
    const other = newFinding(next.id, { point: 'belt.aux', place: '', readings: [], at: '2026-06-02T08:05:00.000Z' });
    await isla.operations(
      operationOf('inspection.start', next),
      operationOf('finding.put', other),
      sign(next.id, '2026-06-02T09:00:00.000Z'),
    );
    expect(await report(next)).toMatchObject({ grade: 'pass' });
    const { standing } = await inYard(vehicle);
    expect(standing).toMatchObject({ grade: 'fail', counts: { fail: 1 }, last: { inspectionId: next.id, seen: 1 } });
    const told = (await life(vehicle)).visits.find((one: { inspection: Inspection }) => one.inspection.id === next.id);
    expect(told.sheet.stillOpen).toMatchObject([{ point: 'pad.inner', place: '1L', inspectionId: inspection.id }]);

    const fit = { id: randomUUID(), vehicleId: vehicle.id, at: '2026-06-03T08:00:00.000Z', meter: 50_200 };
    const pads = { ...fit, kind: 'fit', what: 'pads', place: '1L', fresh: 12, note: '' } as const;
    await isla.operations(operationOf('entry.put', pads));
    expect((await inYard(vehicle)).standing).toMatchObject({ grade: 'pass', counts: { fail: 0 } });
    const undo = { ...fit, id: randomUUID(), kind: 'undo', refers: pads.id } as const;
    await isla.operations(operationOf('entry.put', undo));
    expect((await inYard(vehicle)).standing).toMatchObject({ grade: 'fail' });
  });
});

describe('an amendment', () => {
  const amendmentOf = (finding: Finding, change: Partial<AmendmentPut> = {}): AmendmentPut => ({
    id: randomUUID(),
    inspectionId: finding.inspectionId,
    at: '2026-06-02T08:00:00.000Z',
    why: 'read again with the wheel off',
    finding,
    ...change,
  });
  const put = (client: Client, body: AmendmentPut) => client.operations(operationOf('amendment.put', body));

  test('stands beside what was signed, with who and why, and counts from then on', async () => {
    const { vehicle, inspection, finding } = await signedVisit(6);
    const later = pad(inspection.id, 1, { parent: finding.id, at: '2026-06-02T08:00:00.000Z' });
    const body = amendmentOf(later);
    expect(await put(isla, body)).toMatchObject([{ status: 'applied' }]);
    expect(await report(inspection)).toMatchObject({ grade: 'fail' });
    const [visit] = (await life(vehicle)).visits;
    expect(
      visit.sheet.points.find(({ point, place }: Finding) => point === 'pad.inner' && place === '1L').result,
    ).toMatchObject({ grade: 'pass' });
    expect(visit.amendments).toMatchObject([{ id: body.id, by: 'Isla', why: body.why, findingId: later.id }]);
    expect(await inYard(vehicle)).toMatchObject({ standing: { grade: 'fail' }, last: { grade: 'fail' } });
    const again = amendmentOf(pad(inspection.id, 5, { parent: later.id, at: '2026-06-02T09:00:00.000Z' }), {
      at: '2026-06-02T09:00:00.000Z',
    });
    expect(await put(maren, again)).toMatchObject([{ status: 'applied' }]);
    expect(await report(inspection)).toMatchObject({ grade: 'pass' });
    expect(await put(isla, body)).toMatchObject([{ refusal: 'already-there' }]);
  });

  test('is refused where there is nothing to amend, without why, and for what an inspector may not grade', async () => {
    const { inspection } = await openVisit(isla);
    expect(await put(isla, amendmentOf(pad(inspection.id, 1)))).toMatchObject([{ refusal: 'not-signed' }]);
    expect(await put(isla, amendmentOf(pad(randomUUID(), 1)))).toMatchObject([{ refusal: 'no-inspection' }]);
    const signed = await signedVisit(6);
    const nowhere = pad(signed.inspection.id, 1, { place: '3L' });
    expect(await put(isla, amendmentOf(nowhere))).toMatchObject([{ refusal: 'no-place' }]);
    expect(await put(isla, amendmentOf(pad(signed.inspection.id, 1, { parent: randomUUID() })))).toMatchObject([
      { refusal: 'no-parent' },
    ]);
    const empty = operationOf('amendment.put', amendmentOf(pad(signed.inspection.id, 1), { why: ' ' }));
    const answer = await isla.send('POST', '/api/operations', { operations: [empty] });
    expect([answer.status, JSON.stringify(answer.body)]).toEqual([400, expect.stringContaining('body.why')]);
  });
});

describe('a visit that is given up', () => {
  const giveUp = (client: Client, inspectionId: string, why = '') =>
    client.operations(operationOf('inspection.void', { inspectionId, at: '2026-06-03T08:00:00.000Z', why }));
  const takeUp = (client: Client, inspectionId: string) =>
    client.operations(operationOf('inspection.restore', { inspectionId, at: '2026-06-04T08:00:00.000Z' }));

  test('signed: by a lead who says why; it is kept, counts nowhere, and can count again', async () => {
    const { vehicle, inspection, finding } = await signedVisit(1);
    expect(await giveUp(isla, inspection.id, 'wrong vehicle')).toMatchObject([{ refusal: 'lead-only' }]);
    expect(await giveUp(maren, inspection.id)).toMatchObject([{ refusal: 'lead-only' }]);
    expect(await giveUp(maren, inspection.id, 'wrong vehicle')).toMatchObject([{ status: 'applied' }]);
    expect(await inYard(vehicle)).toMatchObject({ last: null, open: null, standing: { grade: 'not-seen' } });
    const [visit] = (await life(vehicle)).visits;
    expect(visit).toMatchObject({ voidedBy: 'Maren', inspection: { voidedWhy: 'wrong vehicle' } });
    expect(visit.findings).toMatchObject([{ id: finding.id }]);
    expect((await maren.get(`/api/vehicles/${vehicle.id}/trends`)).body).toEqual([]);
    expect(await giveUp(maren, inspection.id, 'twice')).toMatchObject([{ refusal: 'voided' }]);
    expect(await takeUp(isla, inspection.id)).toMatchObject([{ refusal: 'lead-only' }]);
    expect(await takeUp(maren, inspection.id)).toMatchObject([{ status: 'applied' }]);
    expect(await takeUp(maren, inspection.id)).toMatchObject([{ refusal: 'not-voided' }]);
    expect(await inYard(vehicle)).toMatchObject({ last: { inspectionId: inspection.id }, standing: { grade: 'fail' } });
  });

  test('not signed: by whoever is at it; nothing goes into it until it is taken up again', async () => {
    const { vehicle, inspection } = await openVisit(isla);
    expect(await giveUp(isla, inspection.id)).toMatchObject([{ status: 'applied' }]);
    expect((await inYard(vehicle)).open).toBeNull();
    const finding = operationOf('finding.put', pad(inspection.id, 6));
    const act = { id: randomUUID(), inspectionId: inspection.id, at: '2026-06-01T08:00:00.000Z' };
    const started = operationOf('act.put', { ...act, kind: 'state', change: 'key-on' });
    expect(await isla.operations(finding, started, sign(inspection.id))).toMatchObject([
      { refusal: 'voided' },
      { refusal: 'voided' },
      { refusal: 'voided' },
    ]);
    expect(await takeUp(isla, inspection.id)).toMatchObject([{ status: 'applied' }]);
    expect(await isla.operations(operationOf('finding.put', pad(inspection.id, 6)))).toMatchObject([
      { status: 'applied' },
    ]);
  });
});

test('what was said on arrival is said anew until the visit is signed; what was found stays', async () => {
  const { vehicle, inspection } = await openVisit(isla);
  await isla.operations(operationOf('finding.put', pad(inspection.id, 6)));
  const { meter: _meter, ...rest } = inspection;
  const arrival = {
    meter: 61_000,
    meterAnswer: rest.meterAnswer,
    complaint: 'pulls to the left',
    state: 'hot',
    stoodH: 0,
    fuel: 0.5,
    ambientC: null,
    load: 'full',
    template: 'interim',
    corners: [] as string[],
    focus: null,
  } as const;
  const correct = () =>
    isla.operations(
      operationOf('inspection.correct', { inspectionId: inspection.id, at: inspection.startedAt, arrival }),
    );
  expect(await correct()).toMatchObject([{ status: 'applied' }]);
  const [visit] = (await life(vehicle)).visits;
  expect(visit.inspection).toEqual({ ...inspection, ...arrival });
  expect(visit.findings).toHaveLength(1);
  await isla.operations(sign(inspection.id));
  expect(await correct()).toMatchObject([{ refusal: 'already-signed' }]);
});

test('all of it comes back from the journal as it was', async () => {
  const tables = await ledgerTables(workshop.context.engine);
  await workshop.pause();
  await blankDatabase(workshop.folder);
  await fs.rm(path.join(workshop.folder, 'checkpoints'), { recursive: true, force: true });
  workshop = await startWorkshop({ dataFolder: workshop.folder });
  expect(await ledgerTables(workshop.context.engine)).toEqual(tables);
}, 60_000);

test('a vehicle nobody has inspected has no standing', async () => {
  const vehicle = newVehicle();
  await workshop.client.send('POST', '/api/session', { name: 'Maren', secret: '112358' });
  await workshop.client.operations(operationOf('vehicle.put', vehicle));
  const yard = (await workshop.client.get('/api/yard')).body;
  expect(yard.find((one: { vehicle: Vehicle }) => one.vehicle.id === vehicle.id)).toMatchObject({ standing: null });
});

test.each(['1970-01-01T00:00:00.000Z', '2099-01-01T00:00:00.000Z'])(
  'a visit that a lost clock dates %s is refused',
  async (startedAt) => {
    const vehicle = newVehicle();
    const visit = newInspection(vehicle.id, { startedAt });
    expect(
      await workshop.client.operations(operationOf('vehicle.put', vehicle), operationOf('inspection.start', visit)),
    ).toMatchObject([{ status: 'applied' }, { refusal: 'wrong-date' }]);
  },
);
