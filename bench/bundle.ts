import { execFileSync } from 'node:child_process';
import fs from 'node:fs';
import path from 'node:path';
import { gzipSync } from 'node:zlib';

const ROOT = path.resolve(__dirname, '..');

/** Gzip bytes of every script that a page's HTML loads at its start, and of the layout's piece that every page waits for. */
function startBytes(dist: string): number {
  const html = fs.readFileSync(path.join(dist, 'index.html'), 'utf8');
  const scripts = [...html.matchAll(/<script[^>]*src="([^"]+)"/g)].map((match) => match[1] ?? '');
  if (scripts.length === 0) throw new Error(`no script in ${dist}`);
  const pieces = path.join('_expo', 'static', 'js', 'web');
  const layout = fs.readdirSync(path.join(dist, pieces)).filter((name) => /^_layout-.*\.js$/.test(name));
  return [...scripts, ...layout.map((name) => path.join(pieces, name))].reduce(
    (sum, script) => sum + gzipSync(fs.readFileSync(path.join(dist, script)), { level: 9 }).length,
    0,
  );
}

/** What the app loads to start against a blank Expo Router app exported in the same run. */
export function benchBundle(): void {
  const blank = path.join(ROOT, 'bench', 'blank');
  execFileSync('npx', ['expo', 'export', '--platform', 'web', '--output-dir', 'dist'], {
    cwd: blank,
    stdio: ['ignore', 'ignore', 'inherit'],
    env: { ...process.env, CI: '1', EXPO_NO_TELEMETRY: '1', EXPO_OFFLINE: '1', NODE_ENV: 'production' },
  });
  const ours = startBytes(path.join(ROOT, 'app', 'dist'));
  const theirs = startBytes(path.join(blank, 'dist'));
  console.log(
    `entry bundle: ${ours} bytes gzip, ${(ours / theirs).toFixed(2)} × a blank Expo Router app (${theirs} bytes; aim ≤ 1.6)`,
  );
}
