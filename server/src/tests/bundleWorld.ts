import { BUILT_IN_RULEBOOK } from '@weskopos/core';
import { randomUUID } from 'node:crypto';
import { drawPhoto } from '../../../demo/src/drawPhoto';
import {
  inspectorIn,
  newFinding,
  newInspection,
  openVisit,
  operationOf,
  startWorkshop,
  type Client,
  type TestWorkshop,
} from './workshop';

/** A workshop where everything happened once that a bundle can tell; Maren leads it, Isla inspects. */
export async function fullWorkshop(): Promise<{ readonly workshop: TestWorkshop; readonly isla: Client }> {
  const workshop = await startWorkshop();
  const maren = workshop.client;
  await maren.setUp(workshop.context.setupCode);
  const isla = await inspectorIn(workshop);
  await maren.operations(operationOf('rulebook.put', { ...BUILT_IN_RULEBOOK, version: 1 }));
  const { vehicle, inspection } = await openVisit(isla);
  const photo = randomUUID();
  await isla.send('POST', `/api/photos/${photo}`, await drawPhoto('leak', 0.4, 7), { 'content-type': 'image/jpeg' });
  const first = newFinding(inspection.id);
  const second = newFinding(inspection.id, {
    parent: first.id,
    at: '2026-06-01T08:06:00.000Z',
    photos: [{ id: photo, caption: '=cmd', marks: [{ kind: 'ring', x: 0.5, y: 0.5, radius: 0.1 }] }],
  });
  const level = newFinding(inspection.id, {
    point: 'cold.oil',
    place: '',
    readings: [{ measure: 'level', spot: 'whole', phase: 'found', values: [-0.3], bound: 'exact', step: null }],
  });
  const open = { id: randomUUID(), inspectionId: inspection.id, at: '2026-06-01T08:10:00.000Z' };
  await isla.operations(
    operationOf('finding.put', first),
    operationOf('finding.put', second),
    operationOf('finding.put', level),
    operationOf('act.put', { ...open, kind: 'open', end: 'filler-cap', place: '', fasteners: null }),
    // The clock of who filled was behind.
    operationOf('act.put', {
      ...open,
      id: randomUUID(),
      at: '2026-06-01T07:00:00.000Z',
      kind: 'fill',
      opens: open.id,
      litres: 1,
    }),
    operationOf(
      'inspection.start',
      newInspection(vehicle.id, { startedAt: '2026-06-04T08:00:00.000Z', meter: 50_300, rulebook: 1 }),
    ),
  );
  await maren.operations(
    operationOf('inspection.sign', {
      inspectionId: inspection.id,
      signedAt: '2026-06-01T09:00:00.000Z',
      over: 'goes on tomorrow',
    }),
    operationOf('amendment.put', {
      id: randomUUID(),
      inspectionId: inspection.id,
      at: '2026-06-02T08:00:00.000Z',
      why: 'read again with the wheel off',
      finding: newFinding(inspection.id, {
        parent: second.id,
        at: '2026-06-02T08:00:00.000Z',
        readings: [{ measure: 'lining', spot: 'whole', phase: 'found', values: [1], bound: 'exact', step: null }],
      }),
    }),
    operationOf('entry.put', {
      id: randomUUID(),
      vehicleId: vehicle.id,
      at: '2026-06-03T08:00:00.000Z',
      meter: 50_200,
      kind: 'fit',
      what: 'pads',
      place: '1R',
      fresh: 12,
      note: '',
    }),
  );
  const given = await openVisit(isla);
  await isla.operations(
    operationOf('inspection.void', { inspectionId: given.inspection.id, at: '2026-06-01T10:00:00.000Z', why: '' }),
  );
  return { workshop, isla };
}

/** An empty workshop that Greta leads. @param started where it is noted, to be stopped in the end */
export async function gretasWorkshop(started: TestWorkshop[]): Promise<TestWorkshop> {
  const workshop = await startWorkshop();
  started.push(workshop);
  const { client, context } = workshop;
  await client.send('POST', '/api/setup', { code: context.setupCode, name: 'Greta', secret: '112358' });
  return workshop;
}
