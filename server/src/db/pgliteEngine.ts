import path from 'node:path';
import { Worker } from 'node:worker_threads';
import pLimit from 'p-limit';
import type { Engine, Queries, SqlValue, Tx } from './engine';
import type { WorkerAnswer, WorkerRequest } from './pgliteWorker';

/** A statement the database refused, with its SQLSTATE and the constraint it hurt. */
export class DatabaseError extends Error {
  constructor(
    message: string,
    readonly code: string | undefined,
    readonly constraint: string | undefined,
  ) {
    super(message);
  }
}

interface Waiting {
  resolve(rows: object[]): void;
  reject(error: Error): void;
}

/** Opens PGlite on `folder` in its own thread. The caller holds the folder's lock. */
export async function openPglite(folder: string): Promise<Engine> {
  // Node 20 starts no thread from a .ts file by itself, so the thread first loads what can read it.
  const start = `require(${JSON.stringify(require.resolve('tsx/cjs'))}); require(${JSON.stringify(path.join(__dirname, 'pgliteWorker.ts'))});`;
  const worker = new Worker(start, { eval: true, workerData: { folder }, execArgv: [] });
  const waiting = new Map<number, Waiting>();
  let dead: Error | null = null;
  const fail = (error: Error) => {
    dead ??= error;
    for (const one of waiting.values()) one.reject(error);
    waiting.clear();
  };
  const opened = new Promise<object[]>((resolve, reject) => waiting.set(0, { resolve, reject }));
  worker.on('error', fail);
  worker.on('exit', (code) => fail(new Error(`the database thread ended (${code})`)));
  worker.on('message', ({ id, rows, error }: WorkerAnswer) => {
    const one = waiting.get(id);
    waiting.delete(id);
    if (error) one?.reject(new DatabaseError(error.message, error.code, error.constraint));
    else one?.resolve(rows ?? []);
  });
  await opened;

  let lastId = 0;
  const ask = (kind: WorkerRequest['kind'], sql: string, values: readonly SqlValue[] = []): Promise<object[]> => {
    if (dead) return Promise.reject(dead);
    const id = ++lastId;
    return new Promise((resolve, reject) => {
      waiting.set(id, { resolve, reject });
      worker.postMessage({ id, kind, sql, values } satisfies WorkerRequest);
    });
  };
  // One connection: a transaction has it to itself, everything else waits its turn.
  const turn = pLimit(1);
  const queries: Queries = {
    query: async <T extends object>(sql: string, values?: readonly SqlValue[]) =>
      (await ask('query', sql, values)) as T[],
  };

  return {
    query: <T extends object>(sql: string, values?: readonly SqlValue[]) => turn(() => queries.query<T>(sql, values)),
    script: (sql) => turn(async () => void (await ask('script', sql))),
    transaction: (work) =>
      turn(async () => {
        await ask('query', 'begin');
        try {
          const result = await work(queries as Tx);
          await ask('query', 'commit');
          return result;
        } catch (error) {
          await ask('query', 'rollback');
          throw error;
        }
      }),
    close: async () => {
      if (!dead) await turn(() => ask('close', ''));
      dead = new Error('the database is closed');
      await worker.terminate();
    },
  };
}
