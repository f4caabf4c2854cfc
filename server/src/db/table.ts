import type { AnyTable, Column, Field, Group, List, Table } from '@weskopos/contract';
import type { Row, SqlValue, Tx } from './engine';

/** Select lists, row mappers and inserts, derived from where a record's fields lie. */

const isList = (field: Field): field is List => 'list' in field;
const isGroup = (field: Field): field is Group => 'group' in field;
type Flat = Readonly<Record<string, unknown>>;
const fieldsOf = (table: AnyTable) => Object.entries(table.fields);

/** Dates come as their text: a day has no zone. */
const selected = (alias: string, { column, type }: Column) =>
  type === 'date' ? `${alias}.${column}::text as ${column}` : `${alias}.${column}`;

/** What to select of a record's own table under `alias`; {@link recordFrom} reads the row. */
export function columnsOf(table: AnyTable, alias: string): string {
  return fieldsOf(table)
    .flatMap(([name, field]) => {
      if (isList(field)) return [`${listOf(field, alias)} as "${name}"`];
      if (isGroup(field)) return Object.values(field.group).map((column) => selected(alias, column));
      return [selected(alias, field)];
    })
    .join(', ');
}

function listOf({ list, key, columns, each, position }: List, alias: string): string {
  const own = Object.entries(columns);
  const object = (from: string, more: string) =>
    `json_build_object(${own.map(([name, { column }]) => `'${name}', ${from}.${column}`).join(', ')}${more})`;
  const inOrder = own.map(([, { column }]) => `l.${column}`).join(', ');
  const order = position ? `l.${position}` : inOrder;
  if (!each)
    return `coalesce((select json_agg(${object('l', '')} order by ${order}) from ${list} l where l.${key} = ${alias}.id), '[]'::json)`;
  const names = own.map(([, { column }]) => column).join(', ');
  return `coalesce((select json_agg(${object('l', `, '${each.field}', l.each_value`)} order by ${inOrder}) from (
    select ${names}, json_agg(${each.column.column} order by n) as each_value from ${list} where ${key} = ${alias}.id group by ${names}) l), '[]'::json)`;
}

/** The record of a row that was selected by {@link columnsOf}: what was written comes out. */
export function recordFrom<T>(table: Table<T>, row: Row): T {
  const entries = fieldsOf(table).map(([name, field]): [string, unknown] => {
    if (isList(field)) return [name, row[name]];
    if (!isGroup(field)) return [name, row[field.column]];
    const parts = Object.entries(field.group).map(([part, { column }]) => [part, row[column]] as const);
    return [name, parts[0]?.[1] === null ? null : Object.fromEntries(parts)];
  });
  return Object.fromEntries(entries) as T;
}

/** Who made an entry: a column beside the record's own. */
export const MADE_BY: Column = { column: 'made_by', type: 'uuid' };

/** Columns that are no field of the record, with what is in them: who made it and the like. */
export type Beside = readonly (readonly [Column, SqlValue])[];

/** A record to be written, with the columns that are no field of it. */
export interface Insert<T> {
  readonly record: T;
  readonly beside?: Beside;
}

/** One column of a statement that inserts rows given as JSON. */
interface Given {
  readonly column: Column;
  readonly value: (record: Flat) => unknown;
}

/** The record's own columns; a group that is missing is null in each of its own. */
function ownColumns(table: AnyTable): Given[] {
  return fieldsOf(table).flatMap(([name, field]): Given[] => {
    if (isList(field)) return [];
    if (!isGroup(field)) return [{ column: field, value: (record) => record[name] }];
    return Object.entries(field.group).map(([part, column]) => ({
      column,
      value: (record) => (record[name] as Flat | null)?.[part] ?? null,
    }));
  });
}

/**
 * Writes records of one table and their lists: one statement for all, and one for each list that is not empty in all of
 * them. With `replacing` a record by the same id is written anew; it must have no lists. Throws what the database refuses.
 */
export async function insertRecords<T extends object>(
  tx: Tx,
  table: Table<T>,
  inserts: readonly Insert<T>[],
  { replacing = false } = {},
): Promise<void> {
  const own = ownColumns(table);
  const beside = inserts[0]?.beside?.map(([column]) => column) ?? [];
  const columns = [...own.map(({ column }) => column), ...beside];
  const rows = inserts.map(({ record, beside: more = [] }) =>
    Object.fromEntries<unknown>([
      ...own.map(({ column, value }) => [column.column, value(record as Flat)] as const),
      ...more.map(([{ column }, value]) => [column, value] as const),
    ]),
  );
  const names = columns.map(({ column }) => column);
  const update = replacing
    ? ` on conflict (id) do update set ${names.map((name) => `${name} = excluded.${name}`).join(', ')}`
    : '';
  await Promise.all([
    insertRows(tx, table.table, columns, rows, update),
    ...fieldsOf(table).flatMap(([name, field]) => (isList(field) ? [insertLists(tx, field, name, inserts)] : [])),
  ]);
}

/** Writes some of a record's own columns anew. */
export async function setColumns<T extends object>(
  tx: Tx,
  table: Table<T>,
  id: string,
  changed: Partial<T>,
): Promise<void> {
  const own = ownColumns(table).filter(({ value }) => value(changed as Flat) !== undefined);
  const names = own.map(({ column }) => column.column);
  const row = Object.fromEntries(own.map(({ column, value }) => [column.column, value(changed as Flat)]));
  await tx.query(
    `update ${table.table} t set ${names.map((name) => `${name} = r.${name}`).join(', ')}
     from json_to_record($2::json) as r (${own.map(({ column: { column, type } }) => `${column} ${type}`).join(', ')}) where t.id = $1::uuid`,
    [id, JSON.stringify(row)],
  );
}

async function insertLists<T extends object>(
  tx: Tx,
  list: List,
  name: string,
  inserts: readonly Insert<T>[],
): Promise<void> {
  const rows = inserts.flatMap(({ record }) => {
    const { id, [name]: items } = record as Readonly<{ id: string }> & Flat;
    return listRows(list, id, items as readonly Flat[]);
  });
  // A statement that inserts nothing still costs its start, and most entries have most lists empty.
  if (rows.length === 0) return;
  const numbered = list.each ? 'n' : list.position;
  const columns: Column[] = [
    { column: list.key, type: 'uuid' },
    ...Object.values(list.columns),
    ...(list.each ? [list.each.column] : []),
    ...(numbered ? [{ column: numbered, type: 'integer' } as const] : []),
  ];
  await insertRows(tx, list.list, columns, rows, ' on conflict do nothing');
}

function listRows({ key, columns, position, each }: List, owner: string, items: readonly Flat[]): Flat[] {
  return items.flatMap((item, at) => {
    const row = Object.fromEntries(Object.entries(columns).map(([name, { column }]) => [column, item[name]]));
    const whole = { [key]: owner, ...row, ...(position ? { [position]: at } : {}) };
    if (!each) return [whole];
    return (item[each.field] as readonly unknown[]).map((value, n) => ({ ...whole, n, [each.column.column]: value }));
  });
}

async function insertRows(
  tx: Tx,
  table: string,
  columns: readonly Column[],
  rows: readonly Flat[],
  onConflict: string,
): Promise<void> {
  const names = columns.map(({ column }) => column).join(', ');
  const typed = columns.map(({ column, type }) => `${column} ${type}`).join(', ');
  await tx.query(
    `insert into ${table} (${names}) select ${names} from json_to_recordset($1::json) as r (${typed})${onConflict}`,
    [JSON.stringify(rows)],
  );
}
