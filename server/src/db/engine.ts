/** A value a statement takes; objects go as JSON text. */
export type SqlValue = string | number | boolean | null;
export type Row = Record<string, unknown>;

export interface Queries {
  /** Runs one statement and gives its rows. */
  query<T extends object = Row>(sql: string, values?: readonly SqlValue[]): Promise<T[]>;
}

declare const inTransaction: unique symbol;
/** Queries inside an open transaction: what changes several rows asks for this type. */
export interface Tx extends Queries {
  readonly [inTransaction]: true;
}

/** The port every database engine fits: one embedded in the process today. */
export interface Engine extends Queries {
  /** Several statements, without values; for migrations. */
  script(sql: string): Promise<void>;
  /** Commits when `work` resolves, rolls back when it rejects. Inside, only `tx` may be used. */
  transaction<T>(work: (tx: Tx) => Promise<T>): Promise<T>;
  close(): Promise<void>;
}
