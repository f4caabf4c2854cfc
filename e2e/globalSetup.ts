import fs from 'node:fs/promises';
import { DEMO_FOLDER, Workshop } from './workshop';

/** Fills one demo workshop for all stories of a run: each works on a copy of its own. */
export default async function globalSetup(): Promise<() => Promise<void>> {
  const workshop = await Workshop.start({ demo: true });
  await workshop.stop();
  process.env[DEMO_FOLDER] = workshop.folder;
  return () => fs.rm(workshop.folder, { recursive: true, force: true });
}
