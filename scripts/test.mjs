/** Types, lint, unit, server and browser tests; ends with one line that sums the suites. */
import { spawn, spawnSync } from 'node:child_process';
import { once } from 'node:events';
import fs from 'node:fs';
import path from 'node:path';
import {
  ensureChromium,
  ensureDependencies,
  ensurePdfReaders,
  ensureServerBuild,
  ensureWebBuild,
  ROOT,
} from './bootstrap.mjs';

ensureDependencies();
const chromium = ensureChromium();
ensurePdfReaders();
const cache = path.join(ROOT, '.cache');
fs.mkdirSync(cache, { recursive: true });
let passed = 0;
let failed = 0;

function step(name, command, args, env = {}) {
  console.log(`\n— ${name}`);
  const { status } = spawnSync(command, args, { cwd: ROOT, stdio: 'inherit', env: { ...process.env, ...env } });
  return status === 0;
}

/** A check without a count of its own is one test. */
function check(name, command, args) {
  if (step(name, command, args)) passed += 1;
  else failed += 1;
}

/** A runner that writes its counts; one that dies before it does is a failure. */
function suite(name, command, args, report, counts, env) {
  fs.rmSync(report, { force: true });
  const ok = step(name, command, args, env);
  const result = fs.existsSync(report) ? counts(JSON.parse(fs.readFileSync(report, 'utf8'))) : { passed: 0, failed: 0 };
  passed += result.passed;
  failed += result.failed + (!ok && result.failed === 0 ? 1 : 0);
}

// Filled beside the checks that need one processor: the demo's tests and the browser's work on copies of it.
ensureServerBuild();
const filling = once(spawn('node', ['scripts/fillDemo.mjs'], { cwd: ROOT, stdio: 'inherit' }), 'exit');

check('types', 'npm', ['run', '--silent', 'types']);
check('lint', 'npx', ['eslint', '.', '--max-warnings', '0']);
check('format', 'npx', ['prettier', '--check', '.']);
await filling;
const unit = path.join(cache, 'unit.json');
suite('unit and server tests', 'npx', ['jest', '--json', `--outputFile=${unit}`], unit, (report) => ({
  passed: report.numPassedTests,
  failed: report.numFailedTests + report.numRuntimeErrorTestSuites,
}));
ensureWebBuild();
const e2e = path.join(cache, 'e2e.json');
suite(
  'browser tests',
  'npx',
  ['playwright', 'test', '-c', 'e2e/playwright.config.ts'],
  e2e,
  (report) => ({ passed: report.stats.expected + report.stats.flaky, failed: report.stats.unexpected }),
  { CHROMIUM_PATH: chromium },
);

console.log(`\n${passed} passed, ${failed} failed`);
process.exit(failed === 0 && passed > 0 ? 0 : 1);
