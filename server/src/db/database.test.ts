import { spawnSync } from 'node:child_process';
import fs from 'node:fs/promises';
import os from 'node:os';
import path from 'node:path';
import { newFolder } from '../tests/workshop';
import type { Engine } from './engine';
import { FolderInUse, lockFolder } from './lock';
import { migrate, readMigrations } from './migrate';
import { openPglite } from './pgliteEngine';

const NOW = new Date('2026-06-01T08:00:00Z');

describe('the folder has one process', () => {
  test('a second one is refused with the folder and the holder; after letting go it may come in', async () => {
    const folder = await newFolder();
    const unlock = await lockFolder(folder, NOW);
    const second = lockFolder(folder, NOW);
    await expect(second).rejects.toThrow(FolderInUse);
    await expect(lockFolder(folder, NOW)).rejects.toThrow(new RegExp(`${folder}.*process ${process.pid}`));
    await unlock();
    await (
      await lockFolder(folder, NOW)
    )();
    expect(await fs.readdir(folder)).toEqual([]);
  });

  test.each([
    ['of a process that is gone', { pid: spawnSync('true').pid, started: null }],
    ['of a process whose number somebody else has now', { pid: process.pid, started: '1' }],
  ])('a lock %s is stale', async (_, holder) => {
    const folder = await newFolder();
    await fs.writeFile(
      path.join(folder, 'weskopos.lock'),
      JSON.stringify({ host: os.hostname(), since: NOW.toISOString(), ...holder }),
    );
    await (
      await lockFolder(folder, NOW)
    )();
  });

  test('a lock of another machine is never taken for stale', async () => {
    const folder = await newFolder();
    await fs.writeFile(
      path.join(folder, 'weskopos.lock'),
      JSON.stringify({ host: 'bay-two', pid: 1, since: 'x', started: null }),
    );
    await expect(lockFolder(folder, NOW)).rejects.toThrow(/bay-two/);
  });
});

describe('the engine', () => {
  let engine: Engine;
  beforeAll(async () => {
    engine = await openPglite(path.join(await newFolder(), 'database'));
  });
  afterAll(() => engine.close());

  test('migrates forward once, and refuses a changed or a newer history', async () => {
    const migrations = await readMigrations();
    expect(migrations.length).toBeGreaterThan(0);
    await migrate(engine, migrations);
    await migrate(engine, migrations);
    const tables = await engine.query<{ name: string }>(
      "select table_name as name from information_schema.tables where table_schema = 'public' order by 1",
    );
    expect(tables.map(({ name }) => name)).toEqual(
      expect.arrayContaining(['finding', 'inspection', 'operation', 'person', 'photo', 'reading', 'vehicle']),
    );
    await expect(
      migrate(
        engine,
        migrations.map((one) => ({ ...one, sql: `${one.sql}\n-- later thought` })),
      ),
    ).rejects.toThrow(/0001_first_slice.sql was changed/);
    await expect(migrate(engine, [])).rejects.toThrow(/newer version/);
  });

  test('a migration that fails leaves nothing behind', async () => {
    const migrations = await readMigrations();
    const broken = { name: '9999_broken.sql', sql: 'create table half (id integer);\nselect nonsense;' };
    await expect(migrate(engine, [...migrations, broken])).rejects.toThrow();
    expect(await engine.query("select 1 from information_schema.tables where table_name = 'half'")).toEqual([]);
  });

  test('a transaction is all or nothing, and others wait their turn', async () => {
    await engine.script('create table t (n integer primary key)');
    const failing = engine.transaction(async (tx) => {
      await tx.query('insert into t values (1)');
      await tx.query('insert into t values (1)');
    });
    const other = engine.query('insert into t values (2)');
    await expect(failing).rejects.toMatchObject({ code: '23505' });
    await other;
    expect(await engine.query('select n from t')).toEqual([{ n: 2 }]);
  });

  test('instants come back as ISO text', async () => {
    expect(await engine.query("select '2026-06-01T10:00:00+02:00'::timestamptz as at")).toEqual([
      { at: '2026-06-01T08:00:00.000Z' },
    ]);
  });
});
