import pLimit from 'p-limit';
import { copyDurably } from './copyDurably';
import { DatabaseThread } from './databaseThread';
import { DatabaseUnavailable, type Engine, type Queries, type SqlValue, type Tx } from './engine';

/** How long the database may take before it counts as hung. */
export interface EngineOptions {
  /** A statement without an answer after this long ends the thread, and another is opened, ms. */
  readonly statementLimitMs?: number;
  readonly openLimitMs?: number;
}

const STATEMENT_LIMIT_MS = 60_000;
const OPEN_LIMIT_MS = 120_000;

/** Opens PGlite on `folder` in its own thread. The caller holds the folder's lock. */
export async function openPglite(folder: string, options: EngineOptions = {}): Promise<Engine> {
  const { statementLimitMs = STATEMENT_LIMIT_MS, openLimitMs = OPEN_LIMIT_MS } = options;
  let thread = await DatabaseThread.open(folder, openLimitMs);
  let reopening: Promise<void> | null = null;
  let closed = false;

  /** Whoever comes while it is opened anew is told so at once: a request in the bay is better asked again. */
  const alive = (): DatabaseThread => {
    if (!thread.isOver) return thread;
    if (!closed)
      reopening ??= DatabaseThread.open(folder, openLimitMs).then(
        (fresh) => {
          reopening = null;
          if (closed) return fresh.end();
          thread = fresh;
        },
        () => void (reopening = null),
      );
    throw new DatabaseUnavailable(closed ? 'the database is closed' : 'the database is being opened anew');
  };
  // One connection: a transaction has it to itself, everything else waits its turn.
  const turn = pLimit(1);
  const queriesOf = (on: DatabaseThread, transaction: number | null = null): Queries => ({
    query: async <T extends object>(sql: string, values: readonly SqlValue[] = []) =>
      (await on.ask({ kind: 'query', sql, values, transaction }, statementLimitMs)) as T[],
  });
  let transactions = 0;

  return {
    query: <T extends object>(sql: string, values?: readonly SqlValue[]) =>
      turn(() => queriesOf(alive()).query<T>(sql, values)),
    script: (sql) => turn(async () => void (await alive().ask({ kind: 'script', sql }, null))),
    transaction: async (work) => {
      // The turn ends once the commit is asked for: what comes next is answered behind it.
      const { result, committed } = await turn(async () => {
        const on = alive();
        const [tx, end] = [queriesOf(on, (transactions += 1)), queriesOf(on)];
        // Not waited for: it is under way before the work's first statement, and a thread that fails it fails that too.
        tx.query('begin').catch(() => undefined);
        try {
          const result = await work(tx as Tx);
          return { result, committed: end.query('commit') };
        } catch (error) {
          // A thread that is over rolled back by dying; what went wrong is what was thrown first.
          if (!on.isOver) await end.query('rollback');
          throw error;
        }
      });
      await committed;
      return result;
    },
    copyTo: (target) =>
      turn(async () => {
        await queriesOf(alive()).query('checkpoint');
        await copyDurably(folder, target);
      }),
    close: async () => {
      closed = true;
      if (!thread.isOver) await turn(() => thread.ask({ kind: 'close', sql: '' }, openLimitMs));
      await reopening;
      await thread.end();
    },
  };
}
