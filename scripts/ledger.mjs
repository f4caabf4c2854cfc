import { ensureDependencies, run } from './bootstrap.mjs';

ensureDependencies();
try {
  run('node', ['--import', 'tsx', 'server/src/ledgerCommand.ts', ...process.argv.slice(2)]);
} catch (error) {
  process.exit(error.status ?? 1);
}
