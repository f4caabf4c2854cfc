import type { Worker } from 'node:worker_threads';
import { DatabaseError, DatabaseUnavailable, type SqlValue } from './engine';
import { startThread } from './startThread';
import type { WorkerAnswer, WorkerRequest } from './pgliteWorker';

interface Waiting {
  resolve(rows: object[]): void;
  reject(error: Error): void;
}

/** What a thread is asked. */
export interface Asked {
  readonly kind: WorkerRequest['kind'];
  readonly sql: string;
  readonly values?: readonly SqlValue[];
  /** Queries of one transaction that are asked in one breath are run together. */
  readonly transaction?: number | null;
}

/** One PGlite in a thread of its own, on one folder. Once it failed it is over: another one is opened in its place. */
export class DatabaseThread {
  private readonly waiting = new Map<number, Waiting>();
  private lastId = 0;
  private over: Error | null = null;
  private leaving: WorkerRequest[] = [];

  private constructor(private readonly worker: Worker) {
    worker.on('error', (error) => this.fail(error));
    worker.on('exit', (code) => this.fail(new Error(`the database thread ended (${code})`)));
    worker.on('message', (answers: readonly WorkerAnswer[]) => {
      for (const { id, rows, error } of answers) {
        const one = this.waiting.get(id);
        this.waiting.delete(id);
        if (error) one?.reject(new DatabaseError(error.message, error.code, error.constraint));
        else one?.resolve(rows ?? []);
      }
    });
  }

  /** @param limitMs after which opening counts as hung; throws {@link DatabaseUnavailable} */
  static async open(folder: string, limitMs: number): Promise<DatabaseThread> {
    const thread = new DatabaseThread(startThread(__dirname, 'pgliteWorker', { folder }));
    await thread.within(
      limitMs,
      new Promise<object[]>((resolve, reject) => thread.waiting.set(0, { resolve, reject })),
    );
    return thread;
  }

  get isOver(): boolean {
    return this.over !== null;
  }

  /**
   * Asks the thread; `limitMs` null waits as long as it takes. A statement that gives no answer in time ends the thread:
   * one write error of its own log leaves PGlite spinning for ever.
   */
  ask({ kind, sql, values = [], transaction = null }: Asked, limitMs: number | null): Promise<object[]> {
    if (this.over) return Promise.reject(new DatabaseUnavailable(this.over.message));
    const id = (this.lastId += 1);
    const answer = new Promise<object[]>((resolve, reject) => {
      this.waiting.set(id, { resolve, reject });
      this.post({ id, kind, sql, values, transaction });
    });
    return limitMs === null ? answer : this.within(limitMs, answer);
  }

  /** What is asked in one breath goes in one message: waking a thread costs as much as a small statement. */
  private post(request: WorkerRequest): void {
    this.leaving.push(request);
    if (this.leaving.length > 1) return;
    queueMicrotask(() => {
      this.worker.postMessage(this.leaving satisfies readonly WorkerRequest[]);
      this.leaving = [];
    });
  }

  /** Ends the thread whatever it does. */
  async end(why = 'the database is closed'): Promise<void> {
    this.fail(new Error(why));
    await this.worker.terminate();
  }

  private async within(limitMs: number, answer: Promise<object[]>): Promise<object[]> {
    const timer = setTimeout(() => void this.end(`the database gave no answer in ${limitMs} ms`), limitMs);
    try {
      return await answer;
    } finally {
      clearTimeout(timer);
    }
  }

  private fail(error: Error): void {
    this.over ??= error;
    for (const one of this.waiting.values()) one.reject(new DatabaseUnavailable(error.message));
    this.waiting.clear();
  }
}
