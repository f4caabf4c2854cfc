import fs from 'node:fs';
import path from 'node:path';
import { Worker } from 'node:worker_threads';

/**
 * Starts a thread from the file of that name beside the caller's: the built one where the server was built; the source
 * through the loader it needs where it was not (Node 20 starts no thread from a .ts file by itself).
 */
export function startThread(folder: string, name: string, workerData: unknown = null): Worker {
  const built = path.join(folder, `${name}.js`);
  if (fs.existsSync(built)) return new Worker(built, { workerData });
  const source = [require.resolve('tsx/cjs'), path.join(folder, `${name}.ts`)];
  const start = source.map((file) => `require(${JSON.stringify(file)});`).join('\n');
  return new Worker(start, { eval: true, workerData, execArgv: [] });
}
