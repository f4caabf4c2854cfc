import { PGlite } from '@electric-sql/pglite';
import { parentPort, workerData } from 'node:worker_threads';

/** The database's own thread: the server's event loop never stands still for a query. */

export interface WorkerRequest {
  readonly id: number;
  readonly kind: 'query' | 'script' | 'close';
  readonly sql: string;
  readonly values: readonly unknown[];
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
  const answerTo = async ({ kind, sql, values }: WorkerRequest): Promise<object[]> => {
    if (kind === 'close') await db.close();
    else if (kind === 'script') await db.exec(sql);
    else return (await db.query<object>(sql, [...values])).rows;
    return [];
  };
  port.on('message', (request: WorkerRequest) => {
    answerTo(request).then(
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
