import fs from 'node:fs/promises';
import path from 'node:path';
import type { Engine } from '@weskopos/server/db/engine';
import { migrate, readMigrations } from '@weskopos/server/db/migrate';
import { openPglite } from '@weskopos/server/db/pgliteEngine';
import { newFolder } from '@weskopos/server/tests/workshop';

/** An empty workshop's database in a folder of its own. */
export async function openEngine(): Promise<{ readonly engine: Engine; readonly close: () => Promise<void> }> {
  const folder = await newFolder();
  const engine = await openPglite(path.join(folder, 'database'));
  await migrate(engine, await readMigrations());
  return {
    engine,
    close: async () => {
      await engine.close();
      await fs.rm(folder, { recursive: true, force: true });
    },
  };
}
