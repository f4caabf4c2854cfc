/** What to run between two changes, in under a minute: types, lint, and the unit tests of what changed since the last commit. */
import { spawnSync } from 'node:child_process';
import { ensureDependencies, ROOT } from './bootstrap.mjs';

ensureDependencies();
const steps = [
  ['types', ['tsc', '-p', 'tsconfig.json', '--incremental', '--tsBuildInfoFile', '.cache/types.tsbuildinfo']],
  ['lint', ['eslint', '.', '--max-warnings', '0', '--cache', '--cache-location', '.cache/eslint']],
  ['format', ['prettier', '--check', '.', '--cache', '--cache-location', '.cache/prettier', '--log-level', 'warn']],
  ['unit tests of what changed', ['jest', '--onlyChanged', '--passWithNoTests']],
];
const failed = steps.filter(([name, args]) => {
  console.log(`— ${name}`);
  return spawnSync('npx', args, { cwd: ROOT, stdio: 'inherit' }).status !== 0;
});
process.exit(failed.length === 0 ? 0 : 1);
