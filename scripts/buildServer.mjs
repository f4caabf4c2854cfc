/** Builds the server to plain JavaScript: the program, its command and its threads, beside them what they read. */
import { build } from 'esbuild';
import fs from 'node:fs';
import path from 'node:path';
import { ROOT } from './bootstrap.mjs';

const SOURCE = path.join(ROOT, 'server', 'src');
const TARGET = path.join(ROOT, 'dist', 'server');
const OURS = /^@weskopos\//;

fs.rmSync(TARGET, { recursive: true, force: true });
await build({
  entryPoints: ['main.ts', 'ledgerCommand.ts', 'db/pgliteWorker.ts', 'fleet/fleetWorker.ts'].map((file) =>
    path.join(SOURCE, file),
  ),
  outdir: TARGET,
  entryNames: '[name]',
  bundle: true,
  platform: 'node',
  target: 'node20',
  format: 'cjs',
  sourcemap: true,
  logLevel: 'warning',
  plugins: [
    {
      // Our own workspaces are TypeScript and go in; packages are found where they are installed.
      name: 'packages-outside',
      setup: (setup) =>
        setup.onResolve({ filter: /^[^./]/ }, ({ path: name }) =>
          OURS.test(name) ? undefined : { path: name, external: true },
        ),
    },
  ],
});
fs.cpSync(path.join(SOURCE, 'db', 'migrations'), path.join(TARGET, 'migrations'), { recursive: true });
