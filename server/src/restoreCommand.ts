import path from 'node:path';
import { restoreBackup } from './backup/restoreBackup';
import { readConfig } from './config/config';
import { openContext } from './context';
import { verifySigned } from './verify/verifySigned';

const ROOT = path.resolve(__dirname, '..', '..');
const USAGE = `npm run restore -- FOLDER          brings the newest backup back into FOLDER, which is empty or not there
npm run restore -- FOLDER NAME     brings that backup back
Backups are looked for in WESKOPOS_BACKUPS, or beside the data folder.`;

/** Brings a backup back into a fresh folder, opens it, and checks everything that was signed. @returns the exit code */
async function main(target: string | undefined, name: string | undefined): Promise<number> {
  if (target === undefined) {
    console.log(USAGE);
    return 2;
  }
  const config = readConfig(process.env, ROOT);
  const dataFolder = path.resolve(target);
  const restored = await restoreBackup(config.backupFolder, dataFolder, name);
  const context = await openContext({ ...config, dataFolder }, () => new Date());
  try {
    const { signatures, photos, breaks } = await verifySigned(context);
    console.log(
      `${restored} is back in ${dataFolder}: ${signatures} signatures and ${photos} signed photos looked at.`,
    );
    for (const { code, fleetCode, about } of breaks) console.log(`${fleetCode}: ${code}: ${about}`);
    console.log(
      breaks.length === 0 ? `All of it holds. Start with WESKOPOS_DATA=${dataFolder}` : 'Not all of it holds.',
    );
    return breaks.length === 0 ? 0 : 1;
  } finally {
    await context.close();
  }
}

main(process.argv[2], process.argv[3]).then(
  (code) => process.exit(code),
  (error: unknown) => {
    console.error(error instanceof Error ? error.message : error);
    process.exit(1);
  },
);
