/** Runs one of the server's commands: `node scripts/command.mjs verify …` is `server/src/verifyCommand.ts`. */
import { ensureDependencies, run } from './bootstrap.mjs';

const [name, ...rest] = process.argv.slice(2);
ensureDependencies();
try {
  run('node', ['--import', 'tsx', `server/src/${name}Command.ts`, ...rest]);
} catch (error) {
  process.exit(error.status ?? 1);
}
