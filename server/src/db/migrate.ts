import fs from 'node:fs/promises';
import path from 'node:path';
import { createHash } from 'node:crypto';
import type { Engine } from './engine';

const FOLDER = path.join(__dirname, 'migrations');

/** One step forward of the database. */
export interface Migration {
  readonly name: string;
  readonly sql: string;
}

/** The numbered .sql files, in order. */
export async function readMigrations(folder = FOLDER): Promise<Migration[]> {
  const names = (await fs.readdir(folder)).filter((name) => /^\d{4}_.+\.sql$/.test(name)).sort();
  return Promise.all(names.map(async (name) => ({ name, sql: await fs.readFile(path.join(folder, name), 'utf8') })));
}

/**
 * Brings the database forward, each file in a transaction of its own. Only forward: a file that was changed after it ran,
 * or a database newer than this program, is refused with the file's name.
 */
export async function migrate(engine: Engine, migrations: readonly Migration[]): Promise<void> {
  await engine.script('create table if not exists migration (name text primary key, sha256 text not null)');
  const done = await engine.query<{ name: string; sha256: string }>('select name, sha256 from migration order by name');
  const unknown = done.find(({ name }) => !migrations.some((migration) => migration.name === name));
  if (unknown) throw new Error(`the database was made by a newer version (${unknown.name}); start that version`);
  for (const { name, sql } of migrations) {
    const sha256 = createHash('sha256').update(sql).digest('hex');
    const before = done.find((one) => one.name === name);
    if (before && before.sha256 !== sha256) throw new Error(`the migration ${name} was changed after it ran`);
    if (!before) await runOnce(engine, `${sql}\ninsert into migration values ('${name}', '${sha256}');`);
  }
}

async function runOnce(engine: Engine, sql: string): Promise<void> {
  try {
    await engine.script(`begin;\n${sql}\ncommit;`);
  } catch (error) {
    await engine.script('rollback');
    throw error;
  }
}
