import { parse, protocol, type PGlite } from '@electric-sql/pglite';
import type { SqlValue } from './engine';

/** Statements kept planned; the one used longest ago goes first. */
const MOST_KEPT = 200;

/** Uses after which a statement is planned again: tables grow, and a plan for a small one reads a large one whole. */
const USES_PER_PLAN = 500;

/** One statement with its values. */
export interface Statement {
  readonly sql: string;
  readonly values: readonly SqlValue[];
}
/** What the database says of a statement it refuses. */
export interface DatabaseFailure {
  readonly message: string;
  readonly code?: string | undefined;
  readonly constraint?: string | undefined;
}
/** Rows of a statement, or why it has none. */
export interface Result {
  readonly rows: object[];
  readonly error?: DatabaseFailure;
}
const NO_ROWS: Result = { rows: [] };

interface Prepared {
  readonly name: string;
  readonly types: readonly number[];
  uses: number;
}

/**
 * Runs statements by name on one PGlite connection: planned anew each time, a small one costs three times as much.
 * Forget them when the tables change.
 */
export class PreparedQueries {
  private readonly kept = new Map<string, Prepared>();
  private named = 0;

  constructor(private readonly db: PGlite) {}

  /**
   * Runs statements of one transaction in order, in one trip to the database where all are kept. Behind one that fails
   * none is run, and each of them fails.
   */
  async run(statements: readonly Statement[]): Promise<Result[]> {
    const results: Result[] = [];
    let ready: Uint8Array[] = [];
    const execute = async () => {
      if (ready.length > 0) results.push(...(await this.execute(ready)));
      ready = [];
    };
    for (const { sql, values } of statements) {
      try {
        // A statement that is planned first may be about what those before it do.
        if (!this.isPlanned(sql)) await execute();
        if (results.some(({ error }) => error)) break;
        ready.push(this.bound(await this.prepared(sql), values));
      } catch (error) {
        await execute();
        results.push({ rows: [], error: error as DatabaseFailure });
      }
    }
    await execute();
    const failed = results.find(({ error }) => error);
    const skipped = Array.from({ length: statements.length - results.length }, () => ({ ...NO_ROWS, ...failed }));
    return [...results, ...skipped];
  }

  private isPlanned(sql: string): boolean {
    return (this.kept.get(sql)?.uses ?? USES_PER_PLAN) + 1 < USES_PER_PLAN;
  }

  private bound({ name, types }: Prepared, values: readonly SqlValue[]): Uint8Array {
    const { serialize } = protocol;
    const bound = values.map((value, index) => {
      if (value === null) return null;
      const write = this.db.serializers[types[index] ?? 0];
      return write ? write(value) : String(value);
    });
    return Buffer.concat([
      serialize.bind({ statement: name, values: bound }),
      serialize.describe({ type: 'P' }),
      serialize.execute({}),
    ]);
  }

  /** The results up to the first that failed. */
  private async execute(statements: readonly Uint8Array[]): Promise<Result[]> {
    const { messages } = await this.db.execProtocol(Buffer.concat([...statements, protocol.serialize.sync()]), {
      throwOnError: false,
    });
    const error = messages.find((message) => message instanceof protocol.messages.DatabaseError);
    const done = messages.filter(({ name }) => name === 'commandComplete').length;
    const results: Result[] = parse.parseResults(messages, this.db.parsers).slice(0, done);
    return error ? [...results, { rows: [], error }] : results;
  }

  /** After the tables changed no plan fits for sure. */
  async forget(): Promise<void> {
    this.kept.clear();
    await this.db.exec('deallocate all');
  }

  private async prepared(sql: string): Promise<Prepared> {
    const { serialize } = protocol;
    const before = this.kept.get(sql);
    if (before) {
      this.kept.delete(sql);
      before.uses += 1;
      if (before.uses < USES_PER_PLAN) {
        this.kept.set(sql, before);
        return before;
      }
      await this.drop(before);
    }
    const [oldest] = this.kept;
    if (oldest && this.kept.size >= MOST_KEPT) {
      this.kept.delete(oldest[0]);
      await this.drop(oldest[1]);
    }
    const name = `kept_${(this.named += 1)}`;
    const messages = await this.send(
      serialize.parse({ name, text: sql }),
      serialize.describe({ type: 'S', name }),
      serialize.sync(),
    );
    const made = { name, types: parse.parseDescribeStatementResults(messages), uses: 0 };
    this.kept.set(sql, made);
    return made;
  }

  private async drop({ name }: Prepared): Promise<void> {
    await this.send(protocol.serialize.close({ type: 'S', name }), protocol.serialize.sync());
  }

  private async send(...messages: readonly Uint8Array[]) {
    return (await this.db.execProtocol(Buffer.concat(messages))).messages;
  }
}
