/** What every command needs on a fresh checkout: dependencies, the built app, a browser. Plain Node, nothing installed. */
import { execFileSync, spawn, spawnSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import fs from 'node:fs';
import path from 'node:path';
import { fileURLToPath } from 'node:url';

export const ROOT = path.resolve(path.dirname(fileURLToPath(import.meta.url)), '..');
const CACHE = path.join(ROOT, '.cache');

function stampIs(name, hash) {
  const file = path.join(CACHE, name);
  return fs.existsSync(file) && fs.readFileSync(file, 'utf8') === hash;
}

function setStamp(name, hash) {
  fs.mkdirSync(CACHE, { recursive: true });
  fs.writeFileSync(path.join(CACHE, name), hash);
}

export function run(command, args, options = {}) {
  execFileSync(command, args, { cwd: ROOT, stdio: 'inherit', ...options });
}

/** Installs by the lock file when it changed or nothing is there. */
export function ensureDependencies() {
  const hash = createHash('sha256')
    .update(fs.readFileSync(path.join(ROOT, 'package-lock.json')))
    .digest('hex');
  if (stampIs('dependencies', hash) && fs.existsSync(path.join(ROOT, 'node_modules', 'expo'))) return;
  console.log('Installing dependencies (a few minutes the first time)…');
  run('npm', ['ci', '--no-audit', '--no-fund', '--loglevel=error']);
  setStamp('dependencies', hash);
}

function sourcesHash(...folders) {
  const hash = createHash('sha256');
  const add = (folder) => {
    for (const entry of fs.readdirSync(folder, { withFileTypes: true }).sort((a, b) => a.name.localeCompare(b.name))) {
      const file = path.join(folder, entry.name);
      if (['node_modules', 'dist', '.expo'].includes(entry.name)) continue;
      if (entry.isDirectory()) add(file);
      else hash.update(path.relative(ROOT, file)).update(fs.readFileSync(file));
    }
  };
  for (const folder of folders) add(path.join(ROOT, folder));
  hash.update(fs.readFileSync(path.join(ROOT, 'package-lock.json')));
  return hash.digest('hex');
}

/** Builds the web app when its sources changed, with the service worker that keeps it on the device. */
export function ensureWebBuild() {
  const hash = sourcesHash('app', 'core/src', 'contract/src', 'words/src');
  if (stampIs('web-build', hash) && fs.existsSync(path.join(ROOT, 'app', 'dist', 'index.html'))) return;
  console.log('Building the app…');
  run('npx', ['expo', 'export', '--platform', 'web', '--output-dir', 'dist'], {
    cwd: path.join(ROOT, 'app'),
    stdio: ['ignore', 'ignore', 'inherit'],
    env: { ...process.env, CI: '1', EXPO_NO_TELEMETRY: '1', EXPO_OFFLINE: '1', NODE_ENV: 'production' },
  });
  run('node', ['scripts/keepShell.mjs'], { cwd: path.join(ROOT, 'app') });
  setStamp('web-build', hash);
}

/** Builds the server and the demo's to plain JavaScript when their sources changed. */
export function ensureServerBuild() {
  const hash = sourcesHash('server/src', 'demo/src', 'core/src', 'contract/src', 'words/src', 'scripts');
  if (stampIs('server-build', hash) && fs.existsSync(path.join(ROOT, 'dist', 'server', 'main.js'))) return;
  console.log('Building the server…');
  run('node', ['scripts/buildServer.mjs']);
  setStamp('server-build', hash);
}

/** A demo workshop that is filled already: tests and pictures work on copies of it. */
export const DEMO_FOLDER = path.join(CACHE, 'demo');
/** What runs by itself in it has ended after so long, ms. */
const FRESH_MS = 45 * 60_000;
const demoHash = () => sourcesHash('server/src', 'demo/src', 'core/src', 'contract/src', 'words/src');

export function demoIsFresh() {
  const stamp = path.join(CACHE, 'demo-filled');
  return stampIs('demo-filled', demoHash()) && Date.now() - fs.statSync(stamp).mtimeMs < FRESH_MS;
}

export function demoIsFilled() {
  setStamp('demo-filled', demoHash());
}

/** Fills the demo workshop where none is, or it is not of today. @returns its folder; to be copied, never written to */
export function ensureFilledDemo() {
  ensureServerBuild();
  if (!demoIsFresh()) {
    console.log('Filling the demo workshop…');
    run('node', ['scripts/fillDemo.mjs']);
  }
  return DEMO_FOLDER;
}

const BROWSERS = ['/usr/bin/chromium', '/usr/bin/chromium-browser'];

/** Packages of Debian, where this may be done; elsewhere whoever needs them says so. */
function installFromDebian(...packages) {
  if (process.getuid?.() !== 0) return;
  console.log(`Installing ${packages.join(', ')}…`);
  run('apt-get', ['update', '-qq'], { stdio: ['ignore', 'ignore', 'inherit'] });
  run('apt-get', ['install', '-y', '-qq', '--no-install-recommends', ...packages], {
    stdio: ['ignore', 'ignore', 'inherit'],
    env: { ...process.env, DEBIAN_FRONTEND: 'noninteractive' },
  });
}

/** What reads PDF by other people's programs, for the tests of ours. */
export function ensurePdfReaders() {
  const lacks = ['pdftotext', 'qpdf'].some((name) => spawnSync('which', [name]).status !== 0);
  if (lacks) installFromDebian('poppler-utils', 'qpdf');
}

/** Debian's Chromium, installed where this may be done. */
export function ensureChromium() {
  const found = () => BROWSERS.find((file) => fs.existsSync(file)) ?? process.env.CHROMIUM_PATH;
  if (!found()) installFromDebian('chromium');
  const browser = found();
  if (!browser) {
    console.error(
      'The browser tests need Chromium. Install it (Debian: sudo apt-get install chromium) or name it in CHROMIUM_PATH, then run again.',
    );
    process.exit(1);
  }
  return browser;
}

/** Runs the server in the foreground; signals reach it, its exit code is ours. */
export function serve(args, env) {
  const server = spawn('node', args, {
    cwd: ROOT,
    stdio: 'inherit',
    env: { ...process.env, ...env },
  });
  for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => server.kill(signal));
  server.on('exit', (code) => process.exit(code ?? 1));
}
