import { BUNDLE_RECORDS, type Manifest } from '@weskopos/contract';
import { BUILT_IN_RULEBOOK } from '@weskopos/core';
import Ajv from 'ajv/dist/2020';
import addFormats from 'ajv-formats';
import { spawnSync } from 'node:child_process';
import { createHash, randomUUID } from 'node:crypto';
import { errorCode } from '../errorCode';
import { drawPhoto } from '../../../demo/src/drawPhoto';
import { asFile, fetchBundle, linesOf, sendBundle, takeBundle, unzipped, zipped, type Entries } from '../tests/bundles';
import {
  blankDatabase,
  inspectorIn,
  newFinding,
  newInspection,
  newVehicle,
  openVisit,
  operationOf,
  startWorkshop,
  type Client,
  type TestWorkshop,
} from '../tests/workshop';

let workshop: TestWorkshop;
let maren: Client;
let isla: Client;
/** A workshop where everything happened once that a bundle can tell. */
let archive: Buffer;
let entries: Entries;
const started: TestWorkshop[] = [];

async function another(name = 'Greta'): Promise<TestWorkshop> {
  const one = await startWorkshop();
  started.push(one);
  await one.client.send('POST', '/api/setup', { code: one.context.setupCode, name, secret: '112358' });
  return one;
}

beforeAll(async () => {
  workshop = await startWorkshop();
  started.push(workshop);
  maren = workshop.client;
  await maren.setUp(workshop.context.setupCode);
  isla = await inspectorIn(workshop);
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
  archive = await fetchBundle(maren);
  entries = await unzipped(archive);
}, 120_000);
afterAll(async () => {
  for (const one of started) await one.stop();
});

/** Everything a bundle says but when it was made. */
const told = (all: Entries) => {
  const manifest = JSON.parse(String(all.get('manifest.json'))) as Manifest;
  return [...all].map(([name, bytes]) => [name, name === 'manifest.json' ? { ...manifest, made: '' } : String(bytes)]);
};
/** The archive with some entries said otherwise, its manifest true to them. */
async function changed(change: Readonly<Record<string, string | null>>, manifestOf = (one: Manifest): unknown => one) {
  const all = new Map<string, Buffer>([...entries].filter(([name]) => name !== 'manifest.json'));
  for (const [name, text] of Object.entries(change)) {
    if (text === null) all.delete(name);
    else all.set(name, Buffer.from(text));
  }
  const manifest = JSON.parse(String(entries.get('manifest.json'))) as Manifest;
  const named = [...all].map(([path, bytes]) => ({
    path,
    bytes: bytes.length,
    sha256: createHash('sha256').update(bytes).digest('hex'),
  }));
  return zipped([...all, ['manifest.json', JSON.stringify(manifestOf({ ...manifest, entries: named }))]]);
}
const jsonl = (lines: readonly unknown[]) => lines.map((line) => `${JSON.stringify(line)}\n`).join('');

describe('a bundle', () => {
  test('holds every record once, the photo as a file, and the hash of each entry', () => {
    expect([...entries.keys()].filter((name) => !name.startsWith('schema/'))).toEqual([
      'vehicles.jsonl',
      'visits.jsonl',
      'entries.jsonl',
      'signatures.jsonl',
      'keys.jsonl',
      'readings.csv',
      'rulebooks.jsonl',
      'photos.jsonl',
      expect.stringMatching(/^photos\/[0-9a-f]{64}\.jpg$/),
      'manifest.json',
    ]);
    const manifest = JSON.parse(String(entries.get('manifest.json'))) as Manifest;
    expect(manifest).toMatchObject({ format: 'weskopos-bundle', version: 1, records: BUNDLE_RECORDS, missing: [] });
    for (const { path, bytes, sha256 } of manifest.entries) {
      const content = entries.get(path);
      expect([path, content?.length]).toEqual([path, bytes]);
      expect(createHash('sha256').update(content!).digest('hex')).toBe(sha256);
    }
    expect(linesOf(entries, 'visits')).toHaveLength(3);
    expect(String([...entries.values()].join(''))).not.toMatch(/secret|scrypt|argon/i);
  });

  test.each(['vehicles', 'visits', 'entries', 'rulebooks', 'photos', 'signatures', 'keys'])(
    'its %s are as the schema beside them says',
    (file) => {
      const ajv = addFormats(new Ajv({ strict: false, allErrors: true }));
      const check = ajv.compile(JSON.parse(String(entries.get(`schema/${file}.schema.json`))) as object);
      const lines = linesOf(entries, file);
      expect(lines.length).toBeGreaterThan(0);
      for (const line of lines) {
        check(line);
        expect(check.errors ?? []).toEqual([]);
      }
      // A schema that takes anything would say so too.
      expect(check({ ...lines[0], id: 7, nobodyKnows: true })).toBe(false);
    },
  );

  test('is read by others: the archive tested, the readings as a table', async () => {
    const script = `
import csv, io, json, sys, zipfile
archive = zipfile.ZipFile(sys.argv[1])
assert archive.testzip() is None
rows = list(csv.DictReader(io.TextIOWrapper(archive.open('readings.csv'), encoding='utf-8', newline='')))
print(json.dumps({'rows': rows, 'visits': sum(1 for _ in archive.open('visits.jsonl'))}))`;
    const python = spawnSync('python3', ['-c', script, await asFile('bundle.zip', archive)], { encoding: 'utf8' });
    // A machine without Python has no other reader: what it would check is held by the tests beside this one.
    if (errorCode(python.error) === 'ENOENT') return;
    expect(python.stderr).toBe('');
    const { rows, visits } = JSON.parse(python.stdout) as { rows: Record<string, string>[]; visits: number };
    expect(visits).toBe(3);
    expect(rows.map(({ point, place, value, unit, readBy }) => [point, place, value, unit, readBy])).toEqual(
      expect.arrayContaining([
        // What stands: the amendment, not what it amended. A figure below nought stays a figure.
        ['pad.inner', '1L', '1', 'mm', 'Maren'],
        ['cold.oil', '', '-0.3', 'level', 'Isla'],
      ]),
    );
    expect(rows).toHaveLength(2);
  });

  test('of one vehicle or one visit holds that alone', async () => {
    const visit = linesOf(entries, 'visits').find(({ grade }) => grade !== null);
    const { id, vehicleId } = visit.inspection;
    const ofVehicle = await unzipped(await fetchBundle(isla, `/api/vehicles/${vehicleId}/bundle`));
    expect(linesOf(ofVehicle, 'vehicles').map((one) => one.id)).toEqual([vehicleId]);
    expect(linesOf(ofVehicle, 'entries')).toHaveLength(1);
    const ofVisit = await unzipped(await fetchBundle(isla, `/api/inspections/${id}/bundle`));
    expect(linesOf(ofVisit, 'visits')).toEqual([visit]);
    expect(linesOf(ofVisit, 'entries')).toEqual([]);
    expect((await isla.get('/api/bundle')).status).toBe(403);
    expect((await isla.get(`/api/vehicles/${randomUUID()}/bundle`)).status).toBe(404);
    expect((await isla.get('/api/vehicles/none/bundle')).status).toBe(404);
  });
});

describe('taking it', () => {
  test('into an empty workshop brings everything back: what goes out again is the same, byte for byte', async () => {
    const fresh = await another();
    const plan = await sendBundle(fresh.client, archive);
    expect(plan.status).toBe(200);
    expect(plan.body).toMatchObject({
      records: {
        vehicles: { fresh: 2, same: 0, differ: 0 },
        visits: { fresh: 3 },
        entries: { fresh: 1 },
        photos: { fresh: 1 },
        rulebooks: { fresh: 1 },
      },
      differing: [],
      blocking: [],
    });
    expect([...plan.body.strangers].sort()).toEqual(['Isla', 'Maren']);
    // Looking writes nothing.
    expect((await fresh.client.get('/api/yard')).body).toEqual([]);
    expect(await takeBundle(fresh.client, plan.body.id)).toMatchObject({ status: 200 });
    expect(told(await unzipped(await fetchBundle(fresh.client)))).toEqual(told(entries));
    // As it stood, to whoever opens it.
    const yardOf = async (client: Client) =>
      (await client.get('/api/yard')).body.map((one: Record<string, unknown>) => ({ ...one, version: '' }));
    expect(await yardOf(fresh.client)).toEqual(await yardOf(maren));
    const [photo] = linesOf(entries, 'photos');
    expect((await fresh.client.get(`/api/photos/${photo.id}/thumb`)).status).toBe(200);
    // They did what they did, and cannot come in by it.
    const people = (await fresh.client.get('/api/people')).body;
    expect(people).toEqual(expect.arrayContaining([expect.objectContaining({ name: 'Isla', state: 'gone' })]));
    expect((await fresh.client.send('POST', '/api/session', { name: 'Isla', secret: '-' })).status).toBe(401);

    const again = await sendBundle(fresh.client, archive);
    expect(again.body.records).toMatchObject({
      vehicles: { fresh: 0, same: 2 },
      visits: { same: 3 },
      photos: { same: 1 },
    });
    expect((await takeBundle(fresh.client, again.body.id)).status).toBe(200);
    // The journal alone brings it back too.
    await fresh.pause();
    await blankDatabase(fresh.folder);
    const reopened = await startWorkshop({ dataFolder: fresh.folder });
    started.splice(started.indexOf(fresh), 1, reopened);
    await reopened.client.send('POST', '/api/session', { name: 'Greta', secret: '112358' });
    expect(told(await unzipped(await fetchBundle(reopened.client)))).toEqual(told(entries));
  }, 120_000);

  test('leaves what is here otherwise as it is, and says so before', async () => {
    const fresh = await another();
    const [line] = linesOf(entries, 'vehicles');
    const ours = { ...line, use: 'ours' };
    await fresh.client.operations(operationOf('vehicle.put', ours));
    const plan = await sendBundle(fresh.client, archive);
    expect(plan.body).toMatchObject({
      records: { vehicles: { fresh: 1, differ: 1 } },
      differing: [{ file: 'vehicles', name: line.fleetCode }],
    });
    expect(await takeBundle(fresh.client, plan.body.id)).toMatchObject({
      status: 409,
      body: { code: 'import-differs' },
    });
    expect((await fresh.client.get('/api/yard')).body).toHaveLength(1);
    expect((await takeBundle(fresh.client, plan.body.id, true)).status).toBe(200);
    const yard = (await fresh.client.get('/api/yard')).body as { vehicle: { id: string; use: string } }[];
    expect(yard).toHaveLength(2);
    expect(yard.find(({ vehicle }) => vehicle.id === line.id)?.vehicle.use).toBe('ours');
  });

  test('is refused where another vehicle has its fleet code, or the rules of the same version are others', async () => {
    const fresh = await another();
    const [line] = linesOf(entries, 'vehicles');
    await fresh.client.operations(operationOf('vehicle.put', newVehicle({ fleetCode: line.fleetCode })));
    const [rules] = BUILT_IN_RULEBOOK.sheets;
    await fresh.client.operations(
      operationOf('rulebook.put', {
        ...BUILT_IN_RULEBOOK,
        version: 1,
        sheets: [{ ...rules!, rows: rules!.rows.slice(1) }],
      }),
    );
    const plan = await sendBundle(fresh.client, archive);
    expect(plan.body.blocking).toEqual([
      { code: 'rules-differ', name: '1' },
      { code: 'fleet-code-taken', name: line.fleetCode },
    ]);
    expect(await takeBundle(fresh.client, plan.body.id, true)).toMatchObject({
      status: 409,
      body: { code: 'import-blocked' },
    });
    expect((await fresh.client.get('/api/yard')).body).toHaveLength(1);
    expect((await fresh.client.send('DELETE', `/api/imports/${plan.body.id}`)).status).toBe(200);
    expect((await takeBundle(fresh.client, plan.body.id)).status).toBe(404);
  });

  test('is for leads', async () => {
    expect((await sendBundle(isla, archive)).status).toBe(403);
    expect((await takeBundle(isla, randomUUID())).status).toBe(403);
  });
});

describe('what is no sound bundle is refused, by entry, line and field, and nothing of it is kept', () => {
  // The signed one first: vehicles come by their ids, which are made anew each time.
  const visits = () => linesOf(entries, 'visits').sort((a, b) => Number(b.grade !== null) - Number(a.grade !== null));
  const wrong: readonly (readonly [string, () => Promise<Buffer>, object])[] = [
    ['no archive', () => Promise.resolve(Buffer.from('hello')), { code: 'bundle-no-zip' }],
    ['an archive cut off', () => Promise.resolve(archive.subarray(0, archive.length - 400)), { code: 'bundle-no-zip' }],
    [
      'no manifest',
      () => zipped([...entries].filter(([name]) => name !== 'manifest.json')),
      { code: 'bundle-no-manifest' },
    ],
    ['another format', () => changed({}, (one) => ({ ...one, format: 'other' })), { code: 'bundle-no-manifest' }],
    ['a newer bundle', () => changed({}, (one) => ({ ...one, version: 2 })), { code: 'bundle-newer' }],
    [
      'newer records',
      () => changed({}, (one) => ({ ...one, records: { ...one.records, finding: 99 } })),
      { code: 'bundle-newer', detail: expect.stringContaining('finding of version 99') },
    ],
    [
      'an entry nobody named',
      () => changed({}, (one) => ({ ...one, entries: one.entries.slice(1) })),
      { code: 'bundle-entry-unnamed', detail: 'vehicles.jsonl' },
    ],
    [
      'an entry that is not there',
      () => zipped([...entries].filter(([name]) => name !== 'visits.jsonl')),
      { code: 'bundle-entry-missing', detail: 'visits.jsonl' },
    ],
    [
      'a wrong hash',
      () =>
        zipped(
          [...entries].map(([name, bytes]) => [name, name === 'entries.jsonl' ? `${String(bytes)} ` : bytes] as const),
        ),
      { code: 'bundle-hash', detail: 'entries.jsonl' },
    ],
    [
      'a name twice',
      () => zipped([...entries, ['visits.jsonl', ''] as const]),
      { code: 'bundle-twice', detail: 'visits.jsonl' },
    ],
    ['a file that is none of it', () => changed({ 'run.sh': 'true' }), { code: 'bundle-name', detail: 'run.sh' }],
    [
      'what unfolds too far',
      () => changed({ 'entries.jsonl': ' '.repeat(4_000_000) }),
      { code: 'bundle-too-large', detail: 'entries.jsonl' },
    ],
    [
      'a line that is no JSON',
      () => changed({ 'entries.jsonl': '{"a":\n' }),
      { code: 'bundle-lines', errors: [{ field: 'entries.jsonl, line 1', code: 'no-json' }] },
    ],
    [
      'figures that cannot be',
      () =>
        changed({
          'visits.jsonl': jsonl(
            visits().map((one, at) => (at === 0 ? { ...one, inspection: { ...one.inspection, ambientC: 300 } } : one)),
          ),
        }),
      { code: 'bundle-lines', errors: [{ field: 'visits.jsonl, line 1: inspection.ambientC' }] },
    ],
    [
      'a reading out of its range',
      () =>
        changed({
          'visits.jsonl': jsonl(
            visits().map((one) => ({
              ...one,
              findings: one.findings.map((finding: { readings: object[] }) => ({
                ...finding,
                readings: finding.readings.map((reading) => ({ ...reading, values: [900] })),
              })),
            })),
          ),
        }),
      {
        code: 'bundle-lines',
        errors: expect.arrayContaining([
          { field: 'visits.jsonl, line 1: findings.0', code: 'custom', message: expect.stringContaining('allowed') },
        ]),
      },
    ],
    [
      'a record twice',
      () => changed({ 'entries.jsonl': `${String(entries.get('entries.jsonl')).repeat(2)}` }),
      { code: 'bundle-lines', errors: [{ message: 'each record once' }] },
    ],
    [
      'a visit to a vehicle nobody knows',
      () => changed({ 'vehicles.jsonl': '' }),
      { code: 'bundle-lines', errors: [{ message: 'a vehicle of the bundle or of this workshop' }] },
    ],
    [
      'rules that are not there',
      () => changed({ 'rulebooks.jsonl': '' }),
      { code: 'bundle-lines', errors: [{ message: '0 to 0' }] },
    ],
    [
      'a signature without a name',
      () => changed({ 'visits.jsonl': jsonl(visits().map((one) => ({ ...one, signedBy: null }))) }),
      {
        code: 'bundle-lines',
        errors: expect.arrayContaining([expect.objectContaining({ field: 'visits.jsonl, line 1: signedBy' })]),
      },
    ],
  ];

  test('each of them', async () => {
    const fresh = await another();
    for (const [name, make, expected] of wrong) {
      const answer = await sendBundle(fresh.client, await make());
      expect([name, answer.status, answer.body]).toEqual([name, 400, expect.objectContaining(matching(expected))]);
    }
    expect((await fresh.client.get('/api/yard')).body).toEqual([]);
  }, 60_000);

  test('a photo that is another picture, or tells where it was taken', async () => {
    const fresh = await another();
    const [row] = linesOf(entries, 'photos');
    const bytes = Buffer.from('no picture');
    const sha256 = createHash('sha256').update(bytes).digest('hex');
    const wrongPhoto = await changed({
      [`photos/${row.sha256}.jpg`]: null,
      [`photos/${sha256}.jpg`]: bytes.toString(),
      'photos.jsonl': jsonl([{ ...row, sha256 }]),
    });
    expect(await sendBundle(fresh.client, wrongPhoto)).toMatchObject({
      status: 400,
      body: { errors: [{ field: `photos/${sha256}.jpg`, code: 'not-a-picture' }] },
    });
    const unnamed = await changed({ [`photos/${row.sha256}.jpg`]: null });
    expect(await sendBundle(fresh.client, unnamed)).toMatchObject({
      status: 400,
      body: { errors: [{ message: 'a photo whose file is in the bundle' }] },
    });
  });
});

/** Lists of errors are matched item by item, by what is told of each. */
function matching(expected: object): object {
  return Object.fromEntries(
    Object.entries(expected).map(([key, value]: [string, unknown]) => [
      key,
      Array.isArray(value) ? value.map((one: object) => expect.objectContaining(one)) : value,
    ]),
  );
}
