import type { AuditAnswer, Break, Life } from '@weskopos/contract';
import { generateKeyPairSync, randomUUID, sign } from 'node:crypto';
import fs from 'node:fs/promises';
import path from 'node:path';
import { signatureLines } from '../lines/readLines';
import { textsThatStand, withoutKeeper } from '../signing/blanked';
import { hashOf } from '../signing/workshopKey';
import { verifySigned } from '../verify/verifySigned';
import { fetchBundle } from '../tests/bundles';
import {
  type Client,
  bareFolder,
  blankDatabase,
  inspectorIn,
  newFinding,
  newInspection,
  newVehicle,
  operationOf,
  startWorkshop,
  type TestWorkshop,
} from '../tests/workshop';

const KEPT = { plate: 'KEPT 4711', vin: 'VINOFTHEKEEPER', complaint: 'Frau Muster hears it squeal' };
const TOLD = [KEPT.plate, KEPT.vin, 'Muster'];

let workshop: TestWorkshop;
let maren: Client;
let vehicleId: string;
let visitId: string;
const look = async () => (await maren.send('POST', '/api/verify', {})).body as { breaks: Break[]; signatures: number };
const life = async () => (await maren.send('GET', `/api/vehicles/${vehicleId}/life`)).body as Life;
const blank = (why: unknown, by = maren) => by.send('POST', `/api/vehicles/${vehicleId}/keeper`, { why });

/** The same workshop on a folder of its own. */
async function copyOf(): Promise<TestWorkshop> {
  await workshop.pause();
  const folder = await bareFolder();
  await fs.cp(workshop.folder, folder, { recursive: true });
  workshop = await startWorkshop({ dataFolder: workshop.folder });
  const other = await startWorkshop({ dataFolder: folder });
  for (const one of [workshop, other])
    await one.client.send('POST', '/api/session', { name: 'Maren', secret: '112358' });
  maren = workshop.client;
  return other;
}

beforeAll(async () => {
  workshop = await startWorkshop();
  maren = workshop.client;
  await maren.setUp(workshop.context.setupCode);
  const vehicle = newVehicle({ plate: KEPT.plate, vin: KEPT.vin });
  vehicleId = vehicle.id;
  const signed = newInspection(vehicle.id, { complaint: KEPT.complaint });
  const open = newInspection(vehicle.id, { complaint: KEPT.complaint, startedAt: '2026-06-09T08:00:00.000Z' });
  visitId = signed.id;
  await maren.operations(
    operationOf('vehicle.put', vehicle),
    operationOf('inspection.start', signed),
    operationOf('finding.put', newFinding(signed.id, { note: 'inner pad worn' })),
    operationOf('inspection.sign', { inspectionId: signed.id, signedAt: '2026-06-02T09:00:00.000Z' }),
    operationOf('inspection.void', { inspectionId: signed.id, at: '2026-06-04T08:00:00.000Z', why: 'tried' }),
    operationOf('inspection.restore', { inspectionId: signed.id, at: '2026-06-04T09:00:00.000Z' }),
    operationOf('inspection.start', open),
  );
});
afterAll(() => workshop.stop());

test('what he was told and answered goes with it: his links end, his name and words are gone, his answer stays', async () => {
  const work = randomUUID();
  const task = { code: 'own', point: null, name: 'Wipers', place: '' } as const;
  const rest = { reasons: [], urgency: 'watch', from: null, to: null, minutes: null, parts: [], note: '' } as const;
  const stamp = { vehicleId, at: '2026-06-05T08:00:00.000Z', meter: null };
  await maren.operations(operationOf('entry.put', { id: work, ...stamp, kind: 'work', task, ...rest }));
  const told = { id: work, name: 'Wipers', plain: '', why: '', when: '', photos: [] };
  const letter = { vehicle: `T · ${KEPT.plate}`, from: '', verdict: '', stops: false, works: [told], cautions: [] };
  const { token } = (await maren.send('POST', `/api/vehicles/${vehicleId}/links`, { letter, days: 9 })).body;
  const answered = await fetch(`${maren.base}/k/${token}`, {
    method: 'POST',
    body: new URLSearchParams({ name: 'Herr Muster', [`a-${work}`]: 'declined', [`w-${work}`]: 'ask Muster' }),
    redirect: 'manual',
  });
  expect(answered.status).toBe(303);
  const other = await copyOf();
  try {
    await other.client.send('POST', `/api/vehicles/${vehicleId}/keeper`, { why: 'asked for' });
    const { entries } = (await other.client.get(`/api/vehicles/${vehicleId}/life`)).body as Life;
    expect(entries).toMatchObject([{ kind: 'work' }, { step: 'declined', keeper: '–', words: '' }]);
    expect((await fetch(`${other.client.base}/k/${token}`)).status).toBe(410);
    const rows = await other.context.engine.query<{ all: string }>(
      `select row_to_json(l)::text as all from keeper_link l union all select row_to_json(e)::text from life_entry e`,
    );
    expect(TOLD.filter((one) => JSON.stringify(rows).includes(one))).toEqual([]);
  } finally {
    await other.stop();
  }
});

test('only a lead takes it out, and says why', async () => {
  const isla = await inspectorIn(workshop);
  expect((await blank('asked for', isla)).status).toBe(403);
  expect((await blank(' ')).status).toBe(400);
  expect((await maren.send('POST', `/api/vehicles/${visitId}/keeper`, { why: 'no vehicle' })).status).toBe(404);
  expect((await life()).vehicle.plate).toBe(KEPT.plate);
});

test('a bundle made before goes in again afterwards and changes nothing', async () => {
  const before = await fetchBundle(maren, `/api/vehicles/${vehicleId}/bundle`);
  const signed = (await life()).visits.find(({ inspection }) => inspection.id === visitId);
  expect((await blank('asked for by letter')).status).toBe(200);
  const { vehicle, visits } = await life();
  expect(vehicle).toMatchObject({ plate: '', vin: '' });
  expect(visits.map(({ inspection }) => inspection.complaint)).toEqual(['', '']);
  const now = visits.find(({ inspection }) => inspection.id === visitId);
  expect(now).toMatchObject({ findings: signed?.findings, inspection: { signedAt: signed?.inspection.signedAt } });
  expect(now?.sheet).toEqual({ ...signed?.sheet, vehicle: { ...signed?.sheet?.vehicle, plate: '', vin: '' } });

  const plan = await maren.send('POST', '/api/imports', before, { 'content-type': 'application/zip' });
  expect(plan.body).toMatchObject({
    records: { vehicles: { differ: 1 }, signatures: { differ: 1, same: 2, fresh: 0 } },
  });
  const { id } = plan.body as { id: string };
  expect((await maren.send('POST', `/api/imports/${id}`, { keepOurs: true })).status).toBe(200);
  expect((await life()).vehicle.plate).toBe('');
});

test('signatures hold, and what was taken out is nowhere in the data folder but in backups', async () => {
  expect(await look()).toMatchObject({ breaks: [], signatures: 4 });
  const chain = await signatureLines(workshop.context.engine, 's.vehicle_id = $1', vehicleId);
  expect(chain.map(({ kind }) => kind)).toEqual(['visit', 'void', 'restore', 'blank']);
  expect(JSON.parse(chain[3]?.document ?? '')).toMatchObject({
    by: 'Maren',
    why: 'asked for by letter',
    blanked: [{ hash: chain[0]?.hash }],
  });
  for (const { document } of chain) for (const told of TOLD) expect(document).not.toContain(told);
  const journal = path.join(workshop.folder, 'journal');
  for (const name of await fs.readdir(journal)) {
    const text = await fs.readFile(path.join(journal, name), 'utf8');
    expect(TOLD.filter((told) => text.includes(told))).toEqual([]);
  }
  expect(await fs.readdir(path.join(workshop.folder, 'checkpoints'))).toHaveLength(1);
  const { lines } = (await maren.send('POST', '/api/audit', { kind: 'keeper.blank', personId: null, before: null }))
    .body as AuditAnswer;
  expect(lines).toMatchObject([{ by: 'Maren', about: expect.stringContaining('asked for by letter') }]);
});

test('a text that was made shorter by anybody else is named', async () => {
  const { engine, photos } = workshop.context;
  const tried = (statement: string) =>
    engine
      .transaction(async (tx) => {
        await tx.query(statement);
        throw new Seen((await verifySigned({ engine: tx, photos })).breaks);
      })
      .catch((error: unknown) => (error as Seen).breaks);
  expect(
    await tried(`update signature set document = replace(document, 'inner pad worn', '') where n = 1`),
  ).toMatchObject([{ code: 'document-changed', about: 'signature 1' }, { code: 'record-changed' }]);
  expect(await tried(`update signature set value = (select value from signature where n = 3) where n = 4`)).toEqual(
    expect.arrayContaining([
      expect.objectContaining({ code: 'not-by-key', about: 'signature 4' }),
      // What leans on it falls with it.
      expect.objectContaining({ code: 'document-changed', about: 'signature 1' }),
    ]),
  );
});

class Seen extends Error {
  constructor(readonly breaks: readonly Break[]) {
    super();
  }
}

test('a bundle made afterwards goes into an empty workshop, all of it checked; a second time takes out what came since', async () => {
  const after = await fetchBundle(maren);
  const other = await startWorkshop();
  try {
    await other.client.setUp(other.context.setupCode);
    const plan = await other.client.send('POST', '/api/imports', after, { 'content-type': 'application/zip' });
    const { id } = plan.body as { id: string };
    expect((await other.client.send('POST', `/api/imports/${id}`, { keepOurs: true })).status).toBe(200);
    expect((await other.client.send('POST', '/api/verify', {})).body).toMatchObject({ breaks: [], signatures: 4 });
  } finally {
    await other.stop();
  }
  const { vehicle } = await life();
  await maren.operations(operationOf('vehicle.put', { ...vehicle, plate: 'NEW 1' }));
  expect((await blank('another asked')).status).toBe(200);
  expect((await life()).vehicle.plate).toBe('');
  expect(await look()).toMatchObject({ breaks: [], signatures: 5 });
});

test('it stays taken out where the database is made anew from its copies and the journal', async () => {
  const { engine } = workshop.context;
  const before = await signatureLines(engine, 's.vehicle_id = $1', vehicleId);
  await workshop.pause();
  await blankDatabase(workshop.folder);
  workshop = await startWorkshop({ dataFolder: workshop.folder });
  maren = workshop.client;
  await maren.send('POST', '/api/session', { name: 'Maren', secret: '112358' });
  expect(await signatureLines(workshop.context.engine, 's.vehicle_id = $1', vehicleId)).toEqual(before);
  expect((await life()).vehicle).toMatchObject({ plate: '', vin: '' });
});

test('only a text of this vehicle that says what it shortens lets a shorter one stand; any other breaks nothing', () => {
  const { publicKey, privateKey } = generateKeyPairSync('ed25519');
  const pem = publicKey.export({ type: 'spki', format: 'pem' }) as string;
  const line = (document: string) => {
    const hash = hashOf(document);
    const value = sign(null, Buffer.from(hash), privateKey).toString('base64');
    return {
      hash,
      vehicleId,
      n: 1,
      previous: null,
      kind: 'blank',
      subject: vehicleId,
      document,
      key: 'k',
      value,
    } as const;
  };
  const visit = { ...line('{"visit":{}}'), kind: 'visit' } as const;
  const blanked = [{ hash: visit.hash, left: hashOf('{}') }];
  const of = (vehicle: string) => line(JSON.stringify({ kind: 'blank', vehicleId: vehicle, blanked }));
  const shorter = { ...visit, document: '{}' };
  for (const [text, stands] of [
    [line('{}'), false],
    [line('no text'), false],
    [line('{"kind":"blank","blanked":4}'), false],
    [of(randomUUID()), false],
    [of(vehicleId), true],
  ] as const)
    expect(textsThatStand([text], new Map([['k', pem]]))(shorter)).toBe(stands);
});

test('a text that tells nothing of a keeper stays as it is', () => {
  expect(withoutKeeper('no text')).toBe('no text');
  const document = '{"kind":"void","why":"KEPT 4711"}';
  expect(withoutKeeper(document)).toBe(document);
});
