import path from 'node:path';
import { pathToFileURL } from 'node:url';
import { DEMO_FOLDER } from './workshop';

/** One filled demo workshop for all stories of a run: each works on a copy of its own. */
export default async function globalSetup(): Promise<void> {
  const bootstrap = pathToFileURL(path.resolve(__dirname, '..', 'scripts', 'bootstrap.mjs')).href;
  const { ensureFilledDemo } = (await import(bootstrap)) as { ensureFilledDemo: () => string };
  process.env[DEMO_FOLDER] = ensureFilledDemo();
}
