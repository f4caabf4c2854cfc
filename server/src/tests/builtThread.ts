import path from 'node:path';
import { Worker } from 'node:worker_threads';

const BUILT = path.resolve(__dirname, '..', '..', '..', 'dist', 'server');

/** In tests `startThread` is this: the built thread, as in the built server; from its sources each start would take seconds. */
export const startThread = (_folder: string, name: string, workerData: unknown = null): Worker =>
  new Worker(path.join(BUILT, `${name}.js`), { workerData });
