/** Where a record's fields lie in the database: what selects, mappers and inserts are derived from. */

export type ColumnType = 'uuid' | 'text' | 'timestamptz' | 'date' | 'float8' | 'integer' | 'boolean' | 'jsonb';

/** One field in one column. */
export interface Column {
  readonly column: string;
  readonly type: ColumnType;
}
/** An object that may be missing, in columns of its own: null where the first of them is. */
export interface Group {
  readonly group: Readonly<Record<string, Column>>;
}
/** A list in a table of its own, its items in the order they were given or by `order`. */
export interface List {
  readonly list: string;
  /** The column that names the record it belongs to. */
  readonly key: string;
  readonly columns: Readonly<Record<string, Column>>;
  /** A field of the items that is itself a list: one row for each of its values, numbered by `n`. */
  readonly each?: { readonly field: string; readonly column: Column };
  /** The column that numbers the items; without one they come in the order of their columns. */
  readonly position?: string;
}
/** Where a field of a record lies in the database: a column, a group of them, or a table of its own. */
export type Field = Column | Group | List;

/** Where each field of a record lies in the database. */
export interface Table<Flat> {
  readonly table: string;
  readonly fields: { readonly [K in keyof Flat]-?: Field };
}
/** A table of whatever record. */
export interface AnyTable {
  readonly table: string;
  readonly fields: Readonly<Record<string, Field>>;
}

const column =
  (type: ColumnType) =>
  (name: string): Column => ({ column: name, type });
export const uuid = column('uuid');
export const text = column('text');
export const instant = column('timestamptz');
export const date = column('date');
export const float = column('float8');
export const integer = column('integer');
export const flag = column('boolean');
export const json = column('jsonb');
