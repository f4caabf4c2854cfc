import type { Engine } from '../db/engine';

/** What does not come from the ledger: sessions, the program's own steps, what is learned anew. */
const ELSEWHERE = ['session', 'migration', 'fleet_knowledge'];

/** Every table the ledger fills, its rows in one order; of operations those that took effect. */
export async function ledgerTables(engine: Engine): Promise<Record<string, string[]>> {
  const tables = await engine.query<{ name: string }>(
    "select table_name as name from information_schema.tables where table_schema = 'public' and table_type = 'BASE TABLE' order by 1",
  );
  const all: Record<string, string[]> = {};
  for (const { name } of tables.filter((table) => !ELSEWHERE.includes(table.name))) {
    const rows = await engine.query(`select * from ${name}${name === 'operation' ? ' where refusal is null' : ''}`);
    all[name] = rows.map((row) => JSON.stringify(row)).sort();
  }
  return all;
}
