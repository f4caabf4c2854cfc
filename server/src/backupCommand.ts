import fs from 'node:fs/promises';
import path from 'node:path';
import { setTimeout } from 'node:timers/promises';
import { WANTED } from './backup/backups';
import { namesIn, setsIn } from './backup/backupFolder';
import { readConfig } from './config/config';
import { openContext } from './context';
import { FolderInUse } from './db/lock';

const ROOT = path.resolve(__dirname, '..', '..');
/** So long the workshop that is open is waited for. */
const PATIENCE_MS = 30 * 60 * 1000;

/** Makes a backup: by itself where nobody has the workshop open, else by asking who has. */
async function main(): Promise<void> {
  const config = readConfig(process.env, ROOT);
  try {
    const context = await openContext(config, () => new Date());
    try {
      console.log(`Made and checked: ${await context.backups.take()}`);
    } finally {
      await context.close();
    }
  } catch (error) {
    if (!(error instanceof FolderInUse)) throw error;
    await askOpenWorkshop(config.backupFolder);
  }
}

async function askOpenWorkshop(folder: string): Promise<void> {
  const before = (await setsIn(folder))[0]?.name;
  await fs.mkdir(folder, { recursive: true, mode: 0o700 });
  await fs.writeFile(path.join(folder, WANTED), '');
  console.log('The workshop is open; it is asked to make a backup…');
  const until = Date.now() + PATIENCE_MS;
  while (Date.now() < until) {
    await setTimeout(500);
    if ((await namesIn(folder)).includes(WANTED)) continue;
    const [newest] = await setsIn(folder);
    if (!newest || newest.name === before)
      throw new Error('The backup could not be made; see the page Data, or the log of the server.');
    console.log(`Made and checked: ${path.join(folder, 'sets', newest.name)}`);
    return;
  }
  throw new Error('The workshop that is open did not make a backup. Is it still running?');
}

main().then(
  () => process.exit(0),
  (error: unknown) => {
    console.error(error instanceof Error ? error.message : error);
    process.exit(1);
  },
);
