import type { Break, SignatureLine } from '@weskopos/contract';
import { BUILT_IN_RULEBOOK } from '@weskopos/core';
import { spawnSync } from 'node:child_process';
import { randomUUID } from 'node:crypto';
import fs from 'node:fs/promises';
import path from 'node:path';
import { drawPhoto } from '../../../demo/src/drawPhoto';
import { signatureLines } from '../lines/readLines';
import { errorCode } from '../errorCode';
import { ledgerTables } from '../tests/tables';
import {
  blankDatabase,
  newFinding,
  newInspection,
  openVisit,
  operationOf,
  startWorkshop,
  type Client,
  type TestWorkshop,
} from '../tests/workshop';
import { verifySigned } from './verifySigned';

let workshop: TestWorkshop;
let maren: Client;
let visitId: string;
let vehicleId: string;
let photoFile: string;
let findingId: string;
const look = async () => (await maren.send('POST', '/api/verify', {})).body as { breaks: Break[]; signatures: number };
const chain = () => signatureLines(workshop.context.engine, 's.vehicle_id = $1', vehicleId);
const pad = (mm: number) =>
  ({ measure: 'lining', spot: 'whole', phase: 'found', values: [mm], bound: 'exact', step: null }) as const;

beforeAll(async () => {
  workshop = await startWorkshop();
  maren = workshop.client;
  await maren.setUp(workshop.context.setupCode);
  await maren.operations(operationOf('rulebook.put', { ...BUILT_IN_RULEBOOK, version: 1 }));
  const { vehicle } = await openVisit(maren);
  vehicleId = vehicle.id;
  const photo = randomUUID();
  await maren.send('POST', `/api/photos/${photo}`, await drawPhoto('leak', 0.4, 7), { 'content-type': 'image/jpeg' });
  const visit = newInspection(vehicle.id, { startedAt: '2026-06-02T08:00:00.000Z', rulebook: 1 });
  visitId = visit.id;
  const finding = newFinding(visit.id, { photos: [{ id: photo, caption: 'inner', marks: [] }], note: 'worn' });
  findingId = finding.id;
  // Several lists that the database keeps in an order of its own.
  const tread = newFinding(visit.id, {
    point: 'tyre.tread',
    readings: (['outer', 'inner', 'centre'] as const).map((spot) => ({ ...pad(5), measure: 'tread', spot })),
  });
  await maren.operations(
    operationOf('inspection.start', visit),
    operationOf('finding.put', finding),
    operationOf('finding.put', tread),
    // Signed by a device in another zone.
    operationOf('inspection.sign', { inspectionId: visit.id, signedAt: '2026-06-02T12:00:00.000+02:00' }),
    operationOf('amendment.put', {
      id: randomUUID(),
      inspectionId: visit.id,
      at: '2026-06-03T08:00:00.000Z',
      why: 'read again',
      finding: newFinding(visit.id, { parent: finding.id, at: '2026-06-03T10:00:00.000+02:00', readings: [pad(1)] }),
    }),
    operationOf('inspection.void', {
      inspectionId: visit.id,
      at: '2026-06-04T08:00:00.000Z',
      why: 'the wrong vehicle',
    }),
    operationOf('inspection.restore', { inspectionId: visit.id, at: '2026-06-04T09:00:00.000Z' }),
  );
  const [kept] = await workshop.context.engine.query<{ sha256: string }>('select sha256 from photo');
  photoFile = workshop.context.photos.pathOf(kept?.sha256 ?? '', 'full');
});
afterAll(() => workshop.stop());

test('what was signed is a chain of texts, each naming the one before, and holds', async () => {
  expect((await chain()).map(({ kind, n }) => [kind, n])).toEqual([
    ['visit', 1],
    ['amendment', 2],
    ['void', 3],
    ['restore', 4],
  ]);
  const lines = await chain();
  lines.forEach(({ previous }, at) => expect(previous).toBe(lines[at - 1]?.hash ?? null));
  const [, amendment] = lines.map(({ document }) => JSON.parse(document));
  expect(amendment).toMatchObject({
    by: 'Maren',
    why: 'read again',
    before: { id: findingId, readings: [pad(6)] },
    finding: { readings: [pad(1)] },
  });
  expect(await look()).toEqual({ signatures: 4, unsealed: 0, photos: 1, breaks: [] });
});

test('the journal brings the same signatures back', async () => {
  const before = (await ledgerTables(workshop.context.engine))['signature'];
  expect(before).toHaveLength(4);
  await workshop.pause();
  await blankDatabase(workshop.folder);
  workshop = await startWorkshop({ dataFolder: workshop.folder });
  const again = workshop.client;
  await again.send('POST', '/api/session', { name: 'Maren', secret: '112358' });
  maren = again;
  expect((await ledgerTables(workshop.context.engine))['signature']).toEqual(before);
  expect((await look()).breaks).toEqual([]);
});

test('a signature is checked by others, with the public key of the bundle', async () => {
  const [line] = await chain();
  const { hash, value } = line as SignatureLine;
  const [key] = await workshop.context.engine.query<{ pem: string }>('select pem from signing_key');
  const folder = await fs.mkdtemp(path.join(workshop.folder, 'openssl-'));
  const write = (name: string, bytes: string | Buffer) => fs.writeFile(path.join(folder, name), bytes);
  await write('key.pem', key?.pem ?? '');
  await write('signature', Buffer.from(value, 'base64'));
  await write('hash', hash);
  await write(
    'other',
    hash.replace(/^./, (first) => (first === '0' ? '1' : '0')),
  );
  const verify = (file: string) =>
    spawnSync(
      'openssl',
      ['pkeyutl', '-verify', '-pubin', '-inkey', 'key.pem', '-rawin', '-in', file, '-sigfile', 'signature'],
      {
        cwd: folder,
        encoding: 'utf8',
      },
    );
  const told = verify('hash');
  // A machine without openssl has no other checker; what it checks is held by the tests beside this one.
  if (errorCode(told.error) === 'ENOENT') return;
  expect(told.stdout).toContain('Signature Verified Successfully');
  expect(verify('other').status).not.toBe(0);
});

/** What was tampered with, and how it is told. */
const tampered: readonly (readonly [string, () => string[], Partial<Record<keyof Break, unknown>>])[] = [
  [
    'a reading',
    () => [`update reading set value = 9 where finding_id = '${findingId}'`],
    { code: 'record-changed', about: expect.stringMatching(/pad\.inner 1L .*values\.0: 6 was signed, 9 is here/) },
  ],
  [
    'a note',
    () => [`update finding set note = 'sound' where id = '${findingId}'`],
    { code: 'record-changed', about: expect.stringContaining('note: "worn" was signed, "sound" is here') },
  ],
  [
    'the meter',
    () => [`update inspection set meter = 1 where id = '${visitId}'`],
    { code: 'record-changed', about: expect.stringContaining('inspection.meter') },
  ],
  [
    'the grade',
    () => [`update inspection set grade = 'pass' where id = '${visitId}'`],
    { code: 'record-changed', about: 'grade: "fail" was signed, "pass" is here' },
  ],
  [
    'why it was amended',
    () => [`update amendment set why = 'nothing'`],
    { code: 'record-changed', about: expect.stringContaining('amendment.why') },
  ],
  [
    'an amendment taken away',
    () => ['delete from amendment'],
    // What was read in it stands in the visit then, where nobody signed it.
    { code: 'record-changed', about: expect.stringContaining('nothing was signed') },
  ],
  [
    'a visit given up behind the back',
    () => [
      `update inspection set voided_at = now(), voided_why = 'gone', voided_by = signed_by where id = '${visitId}'`,
    ],
    { code: 'record-changed', about: expect.stringContaining('voided') },
  ],
  [
    'the sheet',
    () => [`update inspection set sheet = jsonb_set(sheet, '{points}', '[]') where id = '${visitId}'`],
    { code: 'record-changed', about: expect.stringContaining('sheet.points') },
  ],
  [
    'the rules',
    () => [`update rulebook set body = jsonb_set(body, '{sheets}', '[]') where version = 1`],
    { code: 'record-changed', about: 'version 1 of the rules' },
  ],
  [
    'the text that was signed',
    () => [`update signature set document = replace(document, 'worn', 'sound') where n = 1`],
    { code: 'document-changed', about: 'signature 1' },
  ],
  [
    'a text with a hash made to fit',
    () => [
      `update signature set document = document || ' ', hash = encode(sha256((document || ' ')::bytea), 'hex') where n = 4`,
    ],
    { code: 'not-by-key', about: 'signature 4' },
  ],
  [
    'a link of the chain',
    () => ['delete from signature where n = 2'],
    { code: 'one-missing-before', about: 'signature 3' },
  ],
  [
    'a key',
    () => ['alter table signature drop constraint signature_key_fkey', 'delete from signing_key'],
    { code: 'key-unknown' },
  ],
  [
    'a visit taken away',
    () => [
      `delete from forecast where inspection_id = '${visitId}'`,
      'delete from amendment',
      ...['reading', 'finding_photo'].map((table) => `delete from ${table}`),
      `delete from finding where inspection_id = '${visitId}'`,
      `delete from inspection where id = '${visitId}'`,
    ],
    { code: 'record-gone', about: 'visit' },
  ],
];

class TakenBack extends Error {}

test.each(tampered)('%s that was changed in the database is named', async (_name, change, expected) => {
  const { engine, photos } = workshop.context;
  let breaks: readonly Break[] = [];
  await expect(
    engine.transaction(async (tx) => {
      for (const statement of change()) await tx.query(statement);
      ({ breaks } = await verifySigned({ engine: tx, photos }));
      throw new TakenBack();
    }),
  ).rejects.toThrow(TakenBack);
  expect(breaks).toEqual(expect.arrayContaining([expect.objectContaining({ vehicleId, ...expected })]));
  expect((await look()).breaks).toEqual([]);
});

test('a photo that is another, or gone, is named; so is a visit that lost its signature with all that followed', async () => {
  const kept = await fs.readFile(photoFile);
  const [, sha256] = /([0-9a-f]{64})/.exec(photoFile) ?? [];
  await fs.writeFile(photoFile, Buffer.concat([kept, Buffer.from('x')]));
  expect((await look()).breaks).toMatchObject([{ code: 'photo-changed', inspectionId: visitId, about: sha256 }]);
  await fs.rm(photoFile);
  expect((await look()).breaks).toMatchObject([{ code: 'photo-gone', about: sha256 }]);
  await fs.writeFile(photoFile, kept);
  expect((await look()).breaks).toEqual([]);

  const { inspection } = await openVisit(maren);
  await maren.operations(
    operationOf('finding.put', newFinding(inspection.id)),
    operationOf('inspection.sign', { inspectionId: inspection.id, signedAt: '2026-06-05T09:00:00.000Z' }),
  );
  await workshop.context.engine.query('delete from signature where subject = $1', [inspection.id]);
  expect((await look()).breaks).toMatchObject([{ code: 'never-signed', inspectionId: inspection.id }]);
});
