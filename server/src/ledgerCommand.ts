import path from 'node:path';
import { readConfig } from './config/config';
import { lockFolder } from './db/lock';
import { damagesIn, setDamageAside } from './ledger/mend';
import { foldersOf } from './ledger/openLedger';
import type { Damage } from './ledger/segments';

const ROOT = path.resolve(__dirname, '..', '..');
const USAGE = `npm run ledger -- verify      reads the whole journal and names every line that cannot be read
npm run ledger -- set-aside   gives those lines up, so that the server starts again; keep a copy of the data folder first`;

const said = ({ file, line, from, to, lines }: Damage) =>
  `${path.basename(file)}, line ${line}: change ${from} to ${to ?? `${from + lines - 1} or later`}`;

/** What the journal's owner does by hand when a start was stopped. @returns the exit code */
async function main(argument: string | undefined): Promise<number> {
  if (argument !== 'verify' && argument !== 'set-aside') {
    console.log(USAGE);
    return 2;
  }
  const { dataFolder } = readConfig(process.env, ROOT);
  const unlock = await lockFolder(dataFolder, new Date());
  try {
    const { journal } = foldersOf(dataFolder);
    if (argument === 'set-aside') {
      const given = await setDamageAside(journal);
      console.log(
        given.length === 0
          ? 'Every line can be read; nothing was changed.'
          : `Given up:\n${given.map(said).join('\n')}`,
      );
      return 0;
    }
    const { lines, damages } = await damagesIn(journal);
    console.log(`${lines} lines can be read.${damages.map((one) => `\nCannot be read: ${said(one)}`).join('')}`);
    return damages.length === 0 ? 0 : 1;
  } finally {
    await unlock();
  }
}

main(process.argv[2]).then(
  (code) => process.exit(code),
  (error: unknown) => {
    console.error(error instanceof Error ? error.message : error);
    process.exit(1);
  },
);
