import { PGlite } from '@electric-sql/pglite';
import { runsOf } from '@weskopos/core/sums/runsOf';
import { parentPort, workerData } from 'node:worker_threads';
import { PreparedQueries, type DatabaseFailure, type Result, type Statement } from './preparedQueries';

/** The database's own thread: the server's event loop never stands still for a query. */

export interface WorkerRequest extends Statement {
  readonly id: number;
  readonly kind: 'query' | 'script' | 'close';
  /** Queries of one transaction in one message share a trip to the database; null for one that goes alone. */
  readonly transaction: number | null;
}
/** What the database's thread answers one request. */
export interface WorkerAnswer extends Partial<Result> {
  readonly id: number;
}

const TIMESTAMPTZ = 1184;

async function serve(): Promise<void> {
  const port = parentPort;
  if (!port) throw new Error('this file runs as a worker thread only');
  const { folder } = workerData as { folder: string };
  const db = await PGlite.create({
    dataDir: folder,
    parsers: { [TIMESTAMPTZ]: (text: string) => new Date(text).toISOString() },
  });
  const statements = new PreparedQueries(db);
  const answer = async (requests: readonly WorkerRequest[]): Promise<void> => {
    for (const run of runsOf(requests, sharesTrip)) {
      const results = run[0].kind === 'query' ? await statements.run(run) : [await alone(run[0], db, statements)];
      port.postMessage(
        results.map(({ rows, error }, at): WorkerAnswer => {
          const id = run[at]?.id ?? NaN;
          return error ? { id, error: failureOf(error) } : { id, rows };
        }),
      );
    }
  };
  // One after another in the order they came: what is asked in one breath takes one trip, not one each.
  let turn: Promise<void> = Promise.resolve();
  port.on('message', (requests: readonly WorkerRequest[]) => {
    turn = turn.then(() => answer(requests));
  });
  port.postMessage([{ id: 0, rows: [] }] satisfies WorkerAnswer[]);
}

/** A script, or the end: nothing shares its trip. */
async function alone({ kind, sql }: WorkerRequest, db: PGlite, statements: PreparedQueries): Promise<Result> {
  try {
    if (kind === 'close') await db.close();
    else {
      await db.exec(sql);
      await statements.forget();
    }
    return { rows: [] };
  } catch (error) {
    return { rows: [], error: failureOf(error) };
  }
}

/** What of an error can be told over a thread's border. */
function failureOf(error: unknown): DatabaseFailure {
  const { message, code, constraint } = error as DatabaseFailure;
  return { message, code, constraint };
}

/** Queries of one transaction share a trip; everything else goes by itself. */
const sharesTrip = (first: WorkerRequest, { transaction }: WorkerRequest) =>
  transaction !== null && first.transaction === transaction;

void serve();
