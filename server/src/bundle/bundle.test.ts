import { BUNDLE_RECORDS, type Manifest } from '@weskopos/contract';
import { BUILT_IN_RULEBOOK } from '@weskopos/core';
import Ajv from 'ajv/dist/2020';
import addFormats from 'ajv-formats';
import { spawnSync } from 'node:child_process';
import Papa from 'papaparse';
import { createHash, randomUUID } from 'node:crypto';
import { errorCode } from '../errorCode';
import { fullWorkshop, gretasWorkshop } from '../tests/bundleWorld';
import { asFile, fetchBundle, linesOf, sendBundle, takeBundle, unzipped, type Entries } from '../tests/bundles';
import {
  blankDatabase,
  newVehicle,
  operationOf,
  startWorkshop,
  type Client,
  type TestWorkshop,
} from '../tests/workshop';

let workshop: TestWorkshop;
let maren: Client;
let isla: Client;
let archive: Buffer;
let entries: Entries;
const started: TestWorkshop[] = [];
const another = () => gretasWorkshop(started);

beforeAll(async () => {
  ({ workshop, isla } = await fullWorkshop());
  started.push(workshop);
  maren = workshop.client;
  archive = await fetchBundle(maren);
  entries = await unzipped(archive);
});
afterAll(async () => {
  for (const one of started) await one.stop();
});

/** Everything a bundle says but when it was made. */
const told = (all: Entries) => {
  const manifest = JSON.parse(String(all.get('manifest.json'))) as Manifest;
  return [...all].map(([name, bytes]) => [name, name === 'manifest.json' ? { ...manifest, made: '' } : String(bytes)]);
};
describe('a bundle', () => {
  test('holds every record once, the photo as a file, and the hash of each entry', () => {
    expect([...entries.keys()].filter((name) => !name.startsWith('schema/'))).toEqual([
      'vehicles.jsonl',
      'visits.jsonl',
      'entries.jsonl',
      'signatures.jsonl',
      'keys.jsonl',
      'readings.csv',
      'photos.csv',
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

  test('tells beside the photos what each shows', () => {
    const [photo] = linesOf(entries, 'photos');
    const { data } = Papa.parse<Record<string, string>>(String(entries.get('photos.csv')), {
      header: true,
      skipEmptyLines: true,
    });
    // A caption that looks like a formula is none.
    expect(data).toMatchObject([
      { file: `photos/${photo.sha256}.jpg`, photo: photo.id, point: 'pad.inner', place: '1L', caption: "'=cmd" },
    ]);
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
