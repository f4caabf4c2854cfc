import { jobNamed } from '@weskopos/core';
import fs from 'node:fs';
import path from 'node:path';
import { lifeSchema, liftLife, yardEntrySchema } from '../life';
import { OPERATION_RECORDS, liftOperation, operationSchema, type OperationKind } from '../operation';
import { OPERATION_VERSIONS } from '../operationKinds';
import { NewerRecord, lift, recordKind, type Lifting } from './record';

/** What programs of every earlier version wrote down, kept as they wrote it. */
const FOLDER = path.join(__dirname, '..', '..', 'examples');
const journals = fs.readdirSync(FOLDER).filter((name) => name.startsWith('journal-'));

interface Written {
  readonly kind: string;
  readonly body: Readonly<Record<string, unknown>>;
}
const operationsOf = (journal: string): Written[] =>
  fs
    .readFileSync(path.join(FOLDER, journal), 'utf8')
    .trimEnd()
    .split('\n')
    // A line begins with its checksum, a newer one with its number too.
    .map((line) => (JSON.parse(line.slice(line.indexOf('{'))) as { operation: Written }).operation);
const isDevices = ({ kind }: Written) => kind in OPERATION_RECORDS;

test.each(journals)('every operation of %s is one of today once it is lifted', (journal) => {
  const sent = operationsOf(journal).filter(isDevices);
  expect(sent.length).toBeGreaterThan(5);
  for (const operation of sent) {
    const parsed = operationSchema.safeParse(operation);
    expect(parsed.error?.issues ?? []).toEqual([]);
    const { v, body } = parsed.data as { v?: number; body: Record<string, unknown> };
    expect(v).toBe(OPERATION_RECORDS[operation.kind as OperationKind].version);
    for (const same of ['id', 'vehicleId', 'inspectionId', 'note', 'words', 'fleetCode', 'complaint'])
      if (same in operation.body) expect(body[same]).toEqual(operation.body[same]);
    // Lifting what is lifted changes nothing, told its version or not.
    expect(liftOperation({ ...operation, body })).toMatchObject({ body });
    expect(liftOperation(parsed.data)).toEqual(parsed.data);
  }
});

describe.each(Object.entries<Lifting>(OPERATION_RECORDS))('%s', (kind, record) => {
  const written = journals.flatMap(operationsOf).filter((operation) => operation.kind === kind);

  test('there is a stored example of each version before today’s, and it is told by what it has', () => {
    const versions = new Set(written.map(({ body }) => record.versionOf(body)));
    for (let version = 1; version < record.version; version += 1) expect([...versions]).toContain(version);
  });

  test('each upgrade lifts by one version', () => {
    for (const { body } of written) {
      let [raw, version] = [body, record.versionOf(body)];
      for (; version < record.version; version += 1) {
        raw = record.upgrades[version - 1]?.(raw) ?? {};
        // A record without what changed is of both versions.
        expect(record.versionOf(raw)).toBeGreaterThan(version);
      }
      expect(lift(record, body)).toEqual(raw);
    }
  });
});

test('a changed meaning under the same name is lifted by the version that was written down, not by what it has', () => {
  const kind = recordKind<unknown>({
    name: 'gauge',
    schema: {} as never,
    versionOf: () => 1,
    upgrades: [(raw) => ({ ...raw, depth: Number(raw.depth) * 25.4 })],
  });
  expect(lift(kind, { depth: 1 }, 1)).toEqual({ depth: 25.4 });
  expect(lift(kind, { depth: 1 }, 2)).toEqual({ depth: 1 });
  expect(() => lift(kind, { depth: 1 }, 3)).toThrow(NewerRecord);
});

test('an operation of a newer app is refused by its version, with what is known here', () => {
  const [operation] = operationsOf('journal-6-look-ahead.txt').filter(({ kind }) => kind === 'finding.put');
  const parsed = operationSchema.safeParse({ ...operation, v: 9 });
  expect(parsed.error?.issues).toMatchObject([{ path: ['v'], message: 'allowed: 1 to 5' }]);
});

test('what a device kept of a life, the yard and its queue is lifted to what is read today', () => {
  const kept = JSON.parse(fs.readFileSync(path.join(FOLDER, 'device-7-look-ahead.json'), 'utf8')) as {
    life: unknown;
    yard: { vehicle: unknown }[];
    pending: unknown[];
  };
  const life = liftLife(kept.life);
  expect(lifeSchema.parse(life)).toEqual(life);
  expect(JSON.stringify(life)).toContain('"code":"brake-fluid"');
  const yard = kept.yard.map((entry) => ({
    standing: null,
    ...entry,
    vehicle: lift(OPERATION_RECORDS['vehicle.put'], entry.vehicle),
  }));
  // Nobody told of versions then: each life is fetched.
  expect(yard.map((entry) => yardEntrySchema.parse(entry))).toEqual(yard.map((entry) => ({ ...entry, version: '' })));
  expect(kept.pending.map((operation) => operationSchema.safeParse(operation).success)).toEqual([true, true, true]);
});

test.each([
  ['Engine oil and filter', 'engine-oil'],
  ['Oil', 'engine-oil'],
  ['Boiling of the wax', 'own'],
  ['Brake fluid renewed', 'brake-fluid'],
  ['Coolant renewed', 'coolant'],
  ['Axle oil', 'axle-oil'],
  ['Gear box oil', 'gearbox-oil'],
  ['Oil filter', 'oil-filter'],
  ['Wash the sand out', 'own'],
])('a job that was called %s is %s, and keeps its name', (name, code) => {
  expect(jobNamed(name)).toEqual({ code, name });
});

test('the versions a device writes down are those of the records', () => {
  const versions = Object.entries<Lifting>(OPERATION_RECORDS).map(([kind, { version }]) => [kind, version]);
  expect(Object.fromEntries(versions)).toEqual(OPERATION_VERSIONS);
});
