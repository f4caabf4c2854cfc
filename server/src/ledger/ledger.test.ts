import type { Operation } from '@weskopos/contract';
import { lifeSchema } from '@weskopos/contract';
import { BUILT_IN_RULEBOOK, type Finding, verdictAsSigned } from '@weskopos/core';
import { seededRandom } from '@weskopos/core/simulated';
import { randomUUID } from 'node:crypto';
import fs from 'node:fs/promises';
import path from 'node:path';
import { openContext, type Context } from '../context';
import type { Engine, Tx } from '../db/engine';
import {
  bareFolder,
  blankDatabase,
  Client,
  configFor,
  newFinding,
  newFolder,
  newInspection,
  newVehicle,
  openVisit,
  operationOf,
  startWorkshop,
  type TestWorkshop,
} from '../tests/workshop';
import { ledgerTables } from '../tests/tables';
import { readLife } from '../inspections/readLife';
import { Journal } from './journal';
import { setDamageAside } from './mend';
import { nameOfSegment, segmentsIn } from './segments';
import { liftedLife, type KeptLife } from '../tests/examples';

const NOW = () => new Date('2026-06-01T10:00:00Z');
const isla = { name: 'Isla', secret: '246810', role: 'inspector' };

/** Opens a data folder without serving it, and gives what its ledger holds. */
async function reopened<T>(folder: string, look: (context: Context) => Promise<T>): Promise<T> {
  const context = await openContext(configFor(folder), NOW);
  try {
    return await look(context);
  } finally {
    await context.close();
  }
}
const tablesOf = (folder: string) => reopened(folder, ({ engine }) => ledgerTables(engine));

/** Two devices at one vehicle, drawing what they do: entries on what stands, on what somebody else wrote, on nothing that is there. */
async function work(workshop: TestWorkshop, seed: number): Promise<{ readonly refused: number }> {
  const random = seededRandom(seed);
  const { client } = workshop;
  await client.send('POST', '/api/people', isla);
  const other = new Client(client.base);
  await other.send('POST', '/api/session', { name: isla.name, secret: isla.secret });
  const vehicle = newVehicle();
  const visits = [0, 1, 2].map((n) =>
    newInspection(vehicle.id, { startedAt: `2026-0${n + 1}-01T08:00:00.000Z`, meter: 20_000 + n * 5000 }),
  );
  await client.operations(operationOf('vehicle.put', vehicle));
  let refused = 0;
  for (const inspection of visits) {
    await client.operations(operationOf('inspection.start', inspection));
    const written: Finding[] = [];
    const draw = (): Operation => {
      const kind = random();
      if (kind < 0.12)
        return operationOf('entry.put', {
          id: randomUUID(),
          vehicleId: vehicle.id,
          at: '2026-06-01T08:00:00.000Z',
          meter: null,
          kind: 'meter',
        });
      if (kind < 0.2) return operationOf('vehicle.put', { ...vehicle, use: `round ${Math.floor(random() * 9)}` });
      if (kind < 0.24)
        return operationOf('rulebook.put', { ...BUILT_IN_RULEBOOK, version: 1 + Math.floor(random() * 2) });
      if (kind < 0.3) return operationOf('finding.put', newFinding(inspection.id, { parent: randomUUID() }));
      if (kind < 0.34)
        return operationOf('inspection.sign', { inspectionId: inspection.id, signedAt: inspection.startedAt });
      const parent = written[Math.floor(random() * written.length * 1.4)] ?? null;
      const place = parent?.place ?? (['1L', '1R', '2L'] as const)[Math.floor(random() * 3)];
      const finding = newFinding(inspection.id, {
        parent: parent?.id ?? null,
        place,
        at: `2026-01-01T09:${String(Math.floor(random() * 60)).padStart(2, '0')}:00.000Z`,
        readings: [
          {
            measure: 'lining',
            spot: 'whole',
            phase: 'found',
            values: [Math.round(random() * 90) / 10],
            bound: 'exact',
            step: null,
          },
        ],
      });
      written.push(finding);
      return operationOf('finding.put', finding);
    };
    const batches = Array.from({ length: 14 }, () => Array.from({ length: 1 + Math.floor(random() * 4) }, draw));
    const outcomes = await Promise.all(
      batches.map((batch, at) =>
        (at % 2 === 0 ? client : other).operations(...batch, ...(random() < 0.2 ? batch : [])),
      ),
    );
    refused += outcomes.flat().filter(({ refusal }) => refusal !== null).length;
  }
  return { refused };
}

test.each([11, 12, 13])(
  'the database is what the journal folds to, whatever two devices did (seed %i)',
  async (seed) => {
    const workshop = await startWorkshop();
    await workshop.client.setUp(workshop.context.setupCode);
    const { refused } = await work(workshop, seed);
    expect(refused).toBeGreaterThan(5);
    const before = await ledgerTables(workshop.context.engine);
    expect(before['forecast']?.length).toBeGreaterThan(0);
    expect(before['finding']?.length).toBeGreaterThan(8);
    await workshop.pause();
    // An empty database, and nothing but the journal.
    await blankDatabase(workshop.folder);
    expect(await tablesOf(workshop.folder)).toEqual(before);
    await fs.rm(workshop.folder, { recursive: true });
  },
);

test('an older database and the newer journal of two devices bring everything back, and nothing that was refused', async () => {
  const workshop = await startWorkshop();
  await workshop.client.setUp(workshop.context.setupCode);
  await work(workshop, 21);
  const folder = await bareFolder();
  await workshop.context.engine.copyTo(path.join(folder, 'database'));
  await work(workshop, 22);
  await work(workshop, 23);
  const before = await ledgerTables(workshop.context.engine);
  await workshop.pause();
  await fs.cp(path.join(workshop.folder, 'journal'), path.join(folder, 'journal'), { recursive: true });
  expect(await tablesOf(folder)).toEqual(before);
});

test('refused and repeated changes have no line', async () => {
  const workshop = await startWorkshop();
  const { client, folder } = workshop;
  await client.setUp(workshop.context.setupCode);
  const { inspection } = await openVisit(client);
  const entry = operationOf('finding.put', newFinding(inspection.id));
  await client.operations(entry);
  const size = async () => (await fs.stat((await segmentsIn(path.join(folder, 'journal'))).at(-1)?.file ?? '')).size;
  const before = await size();
  await client.operations(entry, operationOf('finding.put', newFinding(inspection.id, { place: '4R' })));
  expect(await size()).toBe(before);
  await workshop.stop();
});

test('a full disk: writing is refused with words, reading goes on, and both again when there is room', async () => {
  const workshop = await startWorkshop();
  const { client } = workshop;
  await client.setUp(workshop.context.setupCode);
  const { inspection } = await openVisit(client);
  const send = (operation: Operation) => client.send('POST', '/api/operations', { operations: [operation] });
  const { journal } = (workshop.context.ledger as unknown as { ports: { journal: { append: unknown } } }).ports;
  const real = journal.append;
  journal.append = () => Promise.reject(Object.assign(new Error('full'), { code: 'ENOSPC' }));
  const finding = newFinding(inspection.id);
  const full = await Promise.all([
    send(operationOf('finding.put', finding)),
    send(operationOf('finding.put', newFinding(inspection.id))),
  ]);
  expect(full.map(({ status }) => status)).toEqual([507, 507]);
  expect(full[0]?.body).toMatchObject({ code: 'storage-full', title: 'The disk of the server is full' });
  expect((await client.get(`/api/inspections/${inspection.id}`)).body.findings).toEqual([]);
  journal.append = real;
  expect((await send(operationOf('finding.put', finding))).status).toBe(200);
  expect((await client.get(`/api/inspections/${inspection.id}`)).body.findings).toHaveLength(1);
  const before = await ledgerTables(workshop.context.engine);
  await workshop.pause();
  expect(await tablesOf(workshop.folder)).toEqual(before);
});

test('a commit that fails behind its answer: the database gets what was acknowledged from the journal at once', async () => {
  const workshop = await startWorkshop();
  const { client, context } = workshop;
  await client.setUp(context.setupCode);
  const { inspection } = await openVisit(client);
  const [person] = await context.engine.query<{ id: string }>('select id from person');
  const change = (finding: Finding) => ({
    operation: operationOf('finding.put', finding),
    by: person?.id ?? null,
    receivedAt: NOW().toISOString(),
  });
  const { engine } = (context.ledger as unknown as { ports: { engine: Engine } }).ports;
  const real = engine.transaction.bind(engine);
  let commits = 0;
  engine.transaction = <T>(work: (tx: Tx) => Promise<T>) =>
    real(async (tx) => {
      const result = await work(tx);
      commits += 1;
      if (commits === 1) throw new Error('the commit gave no answer');
      return result;
    });
  const first = newFinding(inspection.id);
  const later = newFinding(inspection.id, { parent: first.id });
  const answers = await Promise.all([context.ledger.accept([change(first)]), context.ledger.accept([change(later)])]);
  expect(answers.flat().map(({ status, refusal }) => [status, refusal])).toEqual([
    ['applied', null],
    ['applied', null],
  ]);
  await context.ledger.idle();
  expect((await client.get(`/api/inspections/${inspection.id}`)).body.findings).toHaveLength(2);
  const before = await ledgerTables(engine);
  await workshop.pause();
  expect(await tablesOf(workshop.folder)).toEqual(before);
});

test('what was judged behind changes that are undone is judged again', async () => {
  const workshop = await startWorkshop();
  const { client, context } = workshop;
  await client.setUp(context.setupCode);
  const { inspection } = await openVisit(client);
  const [person] = await context.engine.query<{ id: string }>('select id from person');
  const accept = (finding: Finding) =>
    context.ledger.accept([
      { operation: operationOf('finding.put', finding), by: person?.id ?? null, receivedAt: NOW().toISOString() },
    ]);
  const { journal } = (context.ledger as unknown as { ports: { journal: Journal } }).ports;
  const real = journal.append.bind(journal);
  const first = newFinding(inspection.id);
  let full = true;
  journal.append = async (entries) => {
    // The next group is judged behind this one by then.
    await new Promise((resolve) => setTimeout(resolve, 50));
    if (full && JSON.stringify(entries[0]).includes(`"id":"${first.id}"`))
      throw Object.assign(new Error('full'), { code: 'ENOSPC' });
    return real(entries);
  };
  const firstAnswer = accept(first);
  // By itself it is a group of its own, and the others come while its lines are being written.
  await new Promise((resolve) => setTimeout(resolve, 20));
  const [undone, later, other] = await Promise.allSettled([
    firstAnswer,
    accept(newFinding(inspection.id, { parent: first.id })),
    accept(newFinding(inspection.id)),
  ]);
  full = false;
  expect(undone.status).toBe('rejected');
  expect(later).toMatchObject({ value: [{ status: 'refused', refusal: 'no-parent' }] });
  expect(other).toMatchObject({ value: [{ status: 'applied' }] });
  // With room again what was undone is taken, and what builds on it.
  const chain = Array.from({ length: 6 }, () => newFinding(inspection.id)).map((finding, at, all) => ({
    ...finding,
    parent: at === 0 ? first.id : (all[at - 1]?.id ?? null),
  }));
  const answers = await Promise.all([first, ...chain].map(accept));
  expect(answers.flat().map(({ status }) => status)).toEqual(Array(7).fill('applied'));
  const before = await ledgerTables(context.engine);
  expect(before['finding']).toHaveLength(8);
  await workshop.pause();
  expect(await tablesOf(workshop.folder)).toEqual(before);
});

test('a change the database will never keep is refused by itself; the others of its batch take effect', async () => {
  const workshop = await startWorkshop();
  await workshop.client.setUp(workshop.context.setupCode);
  const { context } = workshop;
  const { inspection } = await openVisit(workshop.client);
  const [person] = await context.engine.query<{ id: string }>('select id from person');
  const change = (note: string) => ({
    operation: operationOf('finding.put', newFinding(inspection.id, { note })),
    by: person?.id ?? null,
    receivedAt: NOW().toISOString(),
  });
  const changes = [change('sound'), change('a\u0000b'), change('sound too')];
  const outcomes = await context.ledger.accept(changes);
  expect(outcomes.map(({ status, refusal }) => [status, refusal])).toEqual([
    ['applied', null],
    ['refused', 'cannot-be-kept'],
    ['applied', null],
  ]);
  await workshop.stop();
});

describe('a copy of the database', () => {
  test('opens, answers, stands in for a lost or spoiled one, and lets go of the journal before it', async () => {
    const workshop = await startWorkshop();
    const { client, context, folder } = workshop;
    await client.setUp(context.setupCode);
    const first = await openVisit(client);
    expect(await context.checkpoint(1)).toBe(3);
    await client.operations(operationOf('finding.put', newFinding(first.inspection.id)));
    expect(await context.checkpoint(1)).toBe(4);
    await client.operations(operationOf('finding.put', newFinding(first.inspection.id)));
    expect(await context.checkpoint(1e9)).toBeNull();
    const before = await ledgerTables(context.engine);
    await workshop.pause();
    expect((await fs.readdir(path.join(folder, 'checkpoints'))).sort()).toEqual(['000000000003', '000000000004']);
    expect((await segmentsIn(path.join(folder, 'journal'))).map(({ first: line }) => line)).toEqual([4, 5]);

    await fs.rm(path.join(folder, 'database'), { recursive: true });
    expect(await tablesOf(folder)).toEqual(before);

    // Spoiled so that it does not open: set aside, never deleted.
    await fs.writeFile(path.join(folder, 'database', 'PG_VERSION'), 'nonsense');
    await fs.rm(path.join(folder, 'database', 'global'), { recursive: true });
    const notes = await reopened(folder, async (again) => {
      expect(await ledgerTables(again.engine)).toEqual(before);
      return again.opened.notes;
    });
    expect(notes.join(' ')).toMatch(/did not open.*change 4 was put in its place/s);
    expect((await fs.readdir(folder)).filter((name) => name.startsWith('database.set-aside'))).toHaveLength(2);
  });
});

describe('a damaged journal', () => {
  const spoiled = async (spoil: (text: string) => string) => {
    const workshop = await startWorkshop();
    await workshop.client.setUp(workshop.context.setupCode);
    const { inspection } = await openVisit(workshop.client);
    for (let n = 0; n < 3; n += 1)
      await workshop.client.operations(operationOf('finding.put', newFinding(inspection.id)));
    const tables = await ledgerTables(workshop.context.engine);
    await workshop.pause();
    const file = (await segmentsIn(path.join(workshop.folder, 'journal'))).at(-1)?.file ?? '';
    await fs.writeFile(file, spoil(await fs.readFile(file, 'utf8')));
    return { ...workshop, tables };
  };

  test('is passed over, and said, where the database holds everything', async () => {
    const { folder, tables } = await spoiled((text) => text.replace('"pad.inner"', '"pad.inneR"'));
    const { notes } = await reopened(folder, ({ opened }) => Promise.resolve(opened));
    expect(notes).toEqual(['Line 4 of 000000000001.journal in the journal cannot be read; the database holds it.']);
    expect(await tablesOf(folder)).toEqual(tables);
  });

  test('stops the start where it does not, until the change is given up', async () => {
    const { folder, tables } = await spoiled((text) => text.replace('"pad.inner"', '"pad.inneR"'));
    const journal = path.join(folder, 'journal');
    await blankDatabase(folder);
    await expect(tablesOf(folder)).rejects.toThrow(/damaged at line 4: change 4 cannot be read/);
    expect(await setDamageAside(journal)).toMatchObject([{ line: 4, from: 4, to: 4 }]);
    expect(await setDamageAside(journal)).toEqual([]);
    const left = await tablesOf(folder);
    expect(left['finding']).toHaveLength(2);
    expect(left['vehicle']).toEqual(tables['vehicle']);
    expect(await fs.readdir(journal)).toContain('000000000001.journal.set-aside');
  });
});

test('a change of a kind nobody knows stops the start with its line', async () => {
  const workshop = await startWorkshop();
  await workshop.client.setUp(workshop.context.setupCode);
  await workshop.pause();
  const journal = await Journal.open(path.join(workshop.folder, 'journal'));
  const operation = { id: randomUUID(), at: NOW().toISOString(), device: 'd', kind: 'share.put', body: {} };
  await journal.append([{ operation, by: null, receivedAt: NOW().toISOString(), outcome: {} }]);
  await journal.close();
  await expect(tablesOf(workshop.folder)).rejects.toThrow(/line 2 a change this program does not know \(share.put\)/);
});

describe('journals of every earlier version', () => {
  const EXAMPLES = path.join(__dirname, '..', '..', '..', 'contract', 'examples');

  test.each([
    'journal-1-first-slice.txt',
    'journal-2-full-catalogue.txt',
    'journal-3-acts.txt',
    'journal-4-corners.txt',
    'journal-5-life.txt',
    'journal-6-look-ahead.txt',
    'journal-7-rulebook.txt',
    'journal-8-signed-sheets.txt',
    'journal-9-loose-ends.txt',
  ])('%s fills an empty database', async (name) => {
    const folder = await newFolder();
    await fs.mkdir(path.join(folder, 'journal'));
    const lines = (await fs.readFile(path.join(EXAMPLES, name), 'utf8')).trimEnd().split('\n');
    // From the seventh on lines are numbered, in segments named after their first.
    const segment = lines[0]?.charAt(9) === '{' ? 'operations.log' : nameOfSegment(1);
    await fs.copyFile(path.join(EXAMPLES, name), path.join(folder, 'journal', segment));
    const tables = await reopened(folder, async ({ engine, opened }) => {
      expect(opened.replay.failed).toEqual([]);
      const [{ n } = { n: 0 }] = await engine.query<{ n: number }>('select count(*)::integer as n from operation');
      expect(n).toBe(
        new Set(
          lines.map(
            (line) => (JSON.parse(line.slice(line.indexOf('{'))) as { operation: { id: string } }).operation.id,
          ),
        ).size,
      );
      expect(opened.replay.replayed).toBeGreaterThan(n * 0.9);
      return ledgerTables(engine);
    });
    expect(tables['finding']?.length).toBeGreaterThan(5);
    // Once is enough: the second start reads none of it.
    await reopened(folder, async ({ engine, opened }) => {
      expect(opened.replay.replayed).toBe(0);
      expect(await ledgerTables(engine)).toEqual(tables);
    });
  });

  test('what the newest of them says is what its program’s database said', async () => {
    const stored = JSON.parse(await fs.readFile(path.join(EXAMPLES, 'database-7-look-ahead.json'), 'utf8')) as Record<
      string,
      Record<string, unknown>[]
    >;
    const device = JSON.parse(await fs.readFile(path.join(EXAMPLES, 'device-7-look-ahead.json'), 'utf8')) as {
      life: KeptLife;
    };
    const folder = await newFolder();
    await fs.mkdir(path.join(folder, 'journal'));
    await fs.copyFile(path.join(EXAMPLES, 'journal-6-look-ahead.txt'), path.join(folder, 'journal', 'operations.log'));
    const workshop = await startWorkshop({ dataFolder: folder });
    const count = async (table: string) => (await workshop.context.engine.query(`select 1 from ${table}`)).length;
    for (const table of [
      'act',
      'finding',
      'forecast',
      'inspection',
      'leak',
      'life_entry',
      'operation',
      'person',
      'photo',
      'reading',
      'rulebook',
      'vehicle',
    ])
      expect([table, await count(table)]).toEqual([table, stored[table]?.length]);
    const life = lifeSchema.parse(await readLife(workshop.context.engine, device.life.vehicle.id));
    // Signed before there were sheets: each got its own at the start, and it says what was stored at signing.
    const signed = life.visits.filter(({ inspection }) => inspection.signedAt !== null);
    const grades = new Map(stored.inspection?.map((row) => [row.id, row.grade]));
    expect(signed.length).toBeGreaterThan(0);
    for (const { inspection, findings, sheet } of signed)
      expect([inspection.id, sheet && verdictAsSigned({ inspection, findings }, sheet).grade]).toEqual([
        inspection.id,
        grades.get(inspection.id),
      ]);
    expect({ ...life, visits: life.visits.map((visit) => ({ ...visit, sheet: null })) }).toEqual(
      liftedLife(device.life),
    );
    await workshop.stop();
  });
});
