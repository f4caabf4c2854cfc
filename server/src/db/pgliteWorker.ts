import { PGlite } from '@electric-sql/pglite';
import { parentPort, workerData } from 'node:worker_threads';
import type { SqlValue } from './engine';
import { PreparedQueries } from './preparedQueries';

/** The database's own thread: the server's event loop never stands still for a query. */

export interface WorkerRequest {
  readonly id: number;
  readonly kind: 'query' | 'script' | 'close';
  readonly sql: string;
  readonly values: readonly SqlValue[];
}
export interface WorkerAnswer {
  readonly id: number;
  readonly rows?: object[];
  readonly error?: { readonly message: string; readonly code?: string; readonly constraint?: string };
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
  const answerTo = async ({ kind, sql, values }: WorkerRequest): Promise<object[]> => {
    if (kind === 'query') return statements.query(sql, values);
    if (kind === 'close') await db.close();
    else {
      await db.exec(sql);
      await statements.forget();
    }
    return [];
  };
  // One after another in the order they came: what is asked in one breath takes one trip, not one each.
  let turn: Promise<unknown> = Promise.resolve();
  port.on('message', (request: WorkerRequest) => {
    const answer = turn.then(() => answerTo(request));
    turn = answer.catch(() => undefined);
    answer.then(
      (rows) => port.postMessage({ id: request.id, rows } satisfies WorkerAnswer),
      (error: Error & { code?: string; constraint?: string }) =>
        port.postMessage({
          id: request.id,
          error: { message: error.message, code: error.code, constraint: error.constraint },
        } satisfies WorkerAnswer),
    );
  });
  port.postMessage({ id: 0 } satisfies WorkerAnswer);
}

void serve();
