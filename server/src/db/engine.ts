/** A value a statement takes; objects go as JSON text. */
export type SqlValue = string | number | boolean | null;
/** A row as the database gives it. */
export type Row = Record<string, unknown>;

/** What can ask the database. */
export interface Queries {
  /**
   * Runs one statement and gives its rows; several asked without waiting run in their order and save the trips between.
   * Throws {@link DatabaseError} or {@link DatabaseUnavailable}.
   */
  query<T extends object = Row>(sql: string, values?: readonly SqlValue[]): Promise<T[]>;
}

declare const inTransaction: unique symbol;
/** Queries inside an open transaction: what changes several rows asks for this type. */
export interface Tx extends Queries {
  readonly [inTransaction]: true;
}

/** The port every database engine fits: one embedded in the process today. */
export interface Engine extends Queries {
  /** Several statements, without values; for migrations. No time limit. */
  script(sql: string): Promise<void>;
  /** Commits when `work` resolves, rolls back when it rejects. Inside, only `tx` may be used. */
  transaction<T>(work: (tx: Tx) => Promise<T>): Promise<T>;
  /** Writes a consistent copy of everything that was committed; others wait meanwhile. */
  copyTo(folder: string): Promise<void>;
  close(): Promise<void>;
}

/** A statement the database refused, with its SQLSTATE and the constraint it hurt. */
export class DatabaseError extends Error {
  constructor(
    message: string,
    readonly code: string | undefined,
    readonly constraint: string | undefined,
  ) {
    super(message);
  }

  /** Whether what was to be written is at fault, not the database: data that is none (22), a constraint hurt (23). */
  get isOfData(): boolean {
    return this.code !== undefined && /^2[23]/.test(this.code);
  }

  /** Whether the disk has no room, or does not take what is written (53, 58). */
  get isOfStorage(): boolean {
    return this.code !== undefined && /^5[38]/.test(this.code);
  }
}

/** The database gives no answer: it is opened anew. Nothing is known of what was under way. */
export class DatabaseUnavailable extends Error {}
