import { parse, protocol, type PGlite } from '@electric-sql/pglite';
import type { SqlValue } from './engine';

/** Statements kept planned; the one used longest ago goes first. */
const MOST_KEPT = 200;

/** Uses after which a statement is planned again: tables grow, and a plan for a small one reads a large one whole. */
const USES_PER_PLAN = 500;

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

  async query(sql: string, values: readonly SqlValue[]): Promise<object[]> {
    const { name, types } = await this.prepared(sql);
    const { serialize } = protocol;
    const bound = values.map((value, index) => {
      if (value === null) return null;
      const write = this.db.serializers[types[index] ?? 0];
      return write ? write(value) : String(value);
    });
    const messages = await this.send(
      serialize.bind({ statement: name, values: bound }),
      serialize.describe({ type: 'P' }),
      serialize.execute({}),
      serialize.sync(),
    );
    return parse.parseResults(messages, this.db.parsers)[0]?.rows ?? [];
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
