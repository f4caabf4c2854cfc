import { randomUUID } from 'node:crypto';
import path from 'node:path';
import { lifeSchema, rulebookSchema } from '@weskopos/contract';
import { DRY, PLAIN_AXLE } from '@weskopos/core';
import { readRulebooks } from '../rules/readRulebooks';
import { liftedLife, readExample, type KeptLife } from '../tests/examples';
import { newFolder } from '../tests/workshop';
import { readLife } from '../inspections/readLife';
import type { Engine } from './engine';
import { migrate, readMigrations } from './migrate';
import { openPglite } from './pgliteEngine';

const UREA = '00000000-0000-4000-8000-0000000000d0';
const AT = '2026-06-01T08:00:00.000Z';
let engine: Engine;
beforeAll(async () => {
  engine = await openPglite(path.join(await newFolder(), 'database'));
});
afterAll(() => engine.close());

test('each migration runs on tables that are filled by the version before, and the data is read on', async () => {
  const migrations = await readMigrations();
  expect(migrations.map(({ name }) => name)).toEqual([...migrations.map(({ name }) => name)].sort());
  expect(migrations.length).toBeGreaterThan(2);
  await migrate(engine, migrations.slice(0, 1));

  const [person, vehicle, inspection, entry, photo] = Array.from({ length: 5 }, () => randomUUID());
  const put = (statement: string, ...values: (string | number | undefined)[]) =>
    engine.query(
      statement,
      values.map((value) => value ?? null),
    );
  // As the first version wrote it: one leak in the finding, an odometer, axles with a placard only.
  await put(`insert into person values ($1, 'Isla', 'inspector', 'x', $2)`, person, AT);
  await put(
    `insert into vehicle values ($1, 'T 9', '', 'Osprell', 'Linnet', 2020, 'car', '', $2)`,
    vehicle,
    JSON.stringify([
      { dual: false, brake: 'disc', placardKpa: 230 },
      { dual: false, brake: 'drum', placardKpa: null },
    ]),
  );
  await put(
    `insert into inspection (id, vehicle_id, started_at, started_by, meter_km, complaint, state, limit_sheet, catalogue_version)
     values ($1, $2, $3, $4, 50000, '', 'cold', 'baseline 1', 1)`,
    inspection,
    vehicle,
    AT,
    person,
  );
  await put(
    `insert into finding (id, inspection_id, point, place, access, words, leak_stage, leak_fluid, leak_place, leak_reaches, leak_wiped, note, kept, made_at, made_by)
     values ($1, $2, 'leak.engine', '', 'seen', '[]', 'damp', 'engine-oil', 'drain-plug', 'nothing', true, 'old', '[]', $3, $4)`,
    entry,
    inspection,
    AT,
    person,
  );
  await put(`insert into reading values ($1, 'tread', 'outer', 'found', 0, 5.5)`, entry);
  await put(`insert into finding_photo values ($1, $2, 1)`, entry, photo);

  for (let count = 2; count <= migrations.length; count += 1) await migrate(engine, migrations.slice(0, count));

  const life = await readLife(engine, vehicle ?? '');
  expect(lifeSchema.parse(life)).toEqual(life);
  expect(life?.vehicle.axles).toEqual([
    { ...PLAIN_AXLE, placardKpa: 230 },
    { ...PLAIN_AXLE, brake: 'drum' },
  ]);
  expect(life?.visits[0]?.inspection).toMatchObject({
    meter: 50_000,
    template: 'first-fourteen',
    rulebook: 0,
    load: 'light',
  });
  expect(life?.visits[0]?.findings[0]).toMatchObject({
    leaks: [{ ...DRY, stage: 'damp', fluid: 'engine-oil', place: 'drain-plug', wiped: true }],
    readings: [{ measure: 'tread', spot: 'outer', phase: 'found', values: [5.5], bound: 'exact' }],
    photos: [{ id: photo, caption: '', marks: [] }],
    override: null,
    by: 'Isla',
  });
});

test('a database of the version before the ledger tells every life as its own program did, in today’s shape', async () => {
  const stored = await readExample<Record<string, Record<string, unknown>[]>>('database-7-look-ahead.json');
  const { life } = await readExample<{ life: KeptLife }>('device-7-look-ahead.json');
  const old = await openPglite(path.join(await newFolder(), 'database'));
  const migrations = await readMigrations();
  await migrate(old, migrations.slice(0, 7));
  for (const table of [
    'person',
    'operation',
    'vehicle',
    'rulebook',
    'inspection',
    'finding',
    'reading',
    'leak',
    'item_count',
    'fault_code',
    'finding_photo',
    'photo',
    'act',
    'life_entry',
    'forecast',
  ]) {
    const rows = stored[table] ?? [];
    expect([table, rows.length > 0]).toEqual([table, true]);
    await old.query(`insert into ${table} select * from jsonb_populate_recordset(null::${table}, $1::jsonb)`, [
      JSON.stringify(rows),
    ]);
  }
  // A top-up of urea solution as the eighth version wrote it, under a code that is a trade mark's and is not spelt here.
  const [{ vehicle_id, made_by } = {}] = stored['life_entry'] ?? [];
  await old.query(
    `insert into life_entry values ($1, $2, 'top-up', $3, null, $4, $3, '{"fluid": "adxxxx", "litres": 5}')`,
    [UREA, String(vehicle_id), AT, String(made_by)],
  );
  await migrate(old, migrations);
  const [urea] = await old.query<{ fluid: string }>(`select body ->> 'fluid' as fluid from life_entry where id = $1`, [
    UREA,
  ]);
  expect(urea?.fluid).toBe('urea');
  await old.query('delete from life_entry where id = $1', [UREA]);
  expect(lifeSchema.parse(await readLife(old, life.vehicle.id))).toEqual(liftedLife(life));
  for (const book of await readRulebooks(old)) {
    expect(rulebookSchema.parse(book)).toEqual(book);
    for (const { words } of book.sheets) expect(words.restraint).toEqual(words.general);
  }
  await old.close();
});
