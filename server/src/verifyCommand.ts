import path from 'node:path';
import { readConfig } from './config/config';
import { openContext } from './context';
import { verifySigned } from './verify/verifySigned';

const ROOT = path.resolve(__dirname, '..', '..');

/** Looks at everything that was signed in a data folder nobody has open. @returns the exit code */
async function main(): Promise<number> {
  const context = await openContext(readConfig(process.env, ROOT), () => new Date());
  try {
    const { signatures, photos, unsealed, breaks } = await verifySigned(context);
    for (const { code, fleetCode, startedAt, about } of breaks)
      console.log(`${fleetCode}${startedAt === null ? '' : `, visit of ${startedAt.slice(0, 10)}`}: ${code}: ${about}`);
    if (unsealed > 0) console.log(`${unsealed} visits were signed before there were signatures.`);
    console.log(
      breaks.length === 0
        ? `All of it holds: ${signatures} signatures, ${photos} photos.`
        : `${breaks.length} things do not hold; the first is above.`,
    );
    return breaks.length === 0 ? 0 : 1;
  } finally {
    await context.close();
  }
}

main().then(
  (code) => process.exit(code),
  (error: unknown) => {
    console.error(error instanceof Error ? error.message : error);
    process.exit(2);
  },
);
