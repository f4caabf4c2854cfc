import { spawnSync } from 'node:child_process';
import fs from 'node:fs/promises';
import os from 'node:os';
import path from 'node:path';
import { bareFolder, newFolder } from '../tests/workshop';
import { DatabaseUnavailable, type Engine } from './engine';
import { FolderInUse, lockFolder } from './lock';
import { migrate, readMigrations } from './migrate';
import { openPglite } from './pgliteEngine';

const NOW = new Date('2026-06-01T08:00:00Z');

describe('the folder has one process', () => {
  test('a second one is refused with the folder and the holder; after letting go it may come in', async () => {
    const folder = await bareFolder();
    const unlock = await lockFolder(folder, NOW);
    const second = lockFolder(folder, NOW);
    await expect(second).rejects.toThrow(FolderInUse);
    await expect(lockFolder(folder, NOW)).rejects.toThrow(new RegExp(`${folder}.*process ${process.pid}`));
    await unlock();
    await (
      await lockFolder(folder, NOW)
    )();
    // What is left says that it is free, and that the next number is 3.
    expect(await fs.readdir(folder)).toEqual(['weskopos.lock.2']);
  });

  test.each([
    ['of a process that is gone', { pid: spawnSync('true').pid, started: null }],
    ['of a process whose number somebody else has now', { pid: process.pid, started: '1' }],
  ])('a lock %s is stale', async (_, holder) => {
    const folder = await bareFolder();
    await fs.writeFile(
      path.join(folder, 'weskopos.lock'),
      JSON.stringify({ host: os.hostname(), since: NOW.toISOString(), ...holder }),
    );
    await (
      await lockFolder(folder, NOW)
    )();
  });

  test('a lock of another machine is never taken for stale', async () => {
    const folder = await bareFolder();
    await fs.writeFile(
      path.join(folder, 'weskopos.lock'),
      JSON.stringify({ host: 'bay-two', pid: 1, since: 'x', started: null }),
    );
    await expect(lockFolder(folder, NOW)).rejects.toThrow(/bay-two/);
  });
});

test('of many starts in the same moment on a stale lock one gets the folder', async () => {
  for (let round = 0; round < 10; round += 1) {
    const folder = await bareFolder();
    const stale = { pid: spawnSync('true').pid, host: os.hostname(), since: 'x', started: null };
    await fs.writeFile(path.join(folder, 'weskopos.lock'), JSON.stringify(stale));
    const tries = await Promise.allSettled(Array.from({ length: 6 }, () => lockFolder(folder, NOW)));
    const held = tries.flatMap((one) => (one.status === 'fulfilled' ? [one.value] : []));
    expect(held).toHaveLength(1);
    await held[0]?.();
    await (
      await lockFolder(folder, NOW)
    )();
  }
});

describe('a database thread that gives no answer', () => {
  test('is ended; others are told at once, and the next one answers on the same folder', async () => {
    const own = await openPglite(path.join(await newFolder(), 'database'), { statementLimitMs: 4000 });
    await own.script('create table t (n integer)');
    await own.query('insert into t values (1)');
    const stuck = own.query('select pg_sleep(600)');
    const behind = own.query('select n from t');
    await expect(stuck).rejects.toThrow(DatabaseUnavailable);
    await expect(behind).rejects.toThrow(DatabaseUnavailable);
    for (let tries = 0; tries < 100; tries += 1) {
      const rows = await own.query('select n from t').catch((error: unknown) => error);
      if (Array.isArray(rows)) {
        expect(rows).toEqual([{ n: 1 }]);
        await own.close();
        await expect(own.query('select 1')).rejects.toThrow(DatabaseUnavailable);
        return;
      }
      expect(rows).toBeInstanceOf(DatabaseUnavailable);
      await new Promise((resolve) => setTimeout(resolve, 100));
    }
    throw new Error('it was not opened anew');
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

  test('statements of one transaction asked in one breath: behind one that fails none is run, and all is rolled back', async () => {
    await engine.script('create table breath (n integer primary key)');
    const insert = (n: number) => ['insert into breath values ($1)', [n]] as const;
    for (const tries of [1, 2]) {
      const told: string[] = [];
      const failing = engine.transaction((tx) =>
        Promise.all(
          [1, 2, 1, 3].map((n) =>
            tx.query(...insert(n)).then(
              () => told.push('written'),
              (error: { code?: string }) => {
                told.push(String(error.code));
                throw error;
              },
            ),
          ),
        ),
      );
      await expect(failing).rejects.toMatchObject({ code: '23505', constraint: 'breath_pkey' });
      expect(told).toEqual(['written', 'written', '23505', '23505']);
      expect(await engine.query('select count(*)::integer as n from breath')).toEqual([{ n: 0 }]);
      // Next to each other two transactions are still two.
      const both = [engine.transaction((tx) => tx.query(...insert(tries))), engine.query('select 1 as one')];
      expect(await Promise.all(both)).toEqual([[], [{ one: 1 }]]);
      await engine.query('delete from breath');
    }
  });

  test('statements kept planned see what the tables have become', async () => {
    await engine.script('create table kept (a integer)');
    await engine.query('insert into kept (a) values ($1)', [1]);
    expect(await engine.query('select * from kept')).toEqual([{ a: 1 }]);
    await engine.script("alter table kept add column b text not null default 'new'");
    expect(await engine.query('select * from kept')).toEqual([{ a: 1, b: 'new' }]);
    const many = Array.from({ length: 250 }, (_, n) => engine.query(`select ${n} as n`));
    expect((await Promise.all(many)).map(([row]) => row?.['n'])).toEqual(Array.from({ length: 250 }, (_, n) => n));
    for (let n = 0; n < 1100; n += 1) expect(await engine.query('select $1::integer as n', [n])).toEqual([{ n }]);
    await expect(engine.query('select nonsense')).rejects.toMatchObject({ code: '42703' });
    await expect(engine.query('select $1::integer as n', ['x'])).rejects.toMatchObject({ isOfData: true });
    expect(await engine.query('select $1::integer as n', [7])).toEqual([{ n: 7 }]);
  });

  test('instants come back as ISO text', async () => {
    expect(await engine.query("select '2026-06-01T10:00:00+02:00'::timestamptz as at")).toEqual([
      { at: '2026-06-01T08:00:00.000Z' },
    ]);
  });
});
