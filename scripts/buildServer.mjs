/** Builds the server to plain JavaScript: the program, the demo's, its command and its threads, beside them what they read. */
import { build } from 'esbuild';
import fs from 'node:fs';
import path from 'node:path';
import { ROOT } from './bootstrap.mjs';

const SOURCE = path.join(ROOT, 'server', 'src');
const TARGET = path.join(ROOT, 'dist', 'server');
const OURS = /^@weskopos\//;

fs.rmSync(TARGET, { recursive: true, force: true });
await build({
  entryPoints: {
    main: path.join(SOURCE, 'main.ts'),
    demo: path.join(ROOT, 'demo', 'src', 'main.ts'),
    ledgerCommand: path.join(SOURCE, 'ledgerCommand.ts'),
    pgliteWorker: path.join(SOURCE, 'db', 'pgliteWorker.ts'),
    fleetWorker: path.join(SOURCE, 'fleet', 'fleetWorker.ts'),
    pdfWorker: path.join(SOURCE, 'reports', 'pdfWorker.ts'),
    sheetWorker: path.join(SOURCE, 'sheets', 'sheetWorker.ts'),
  },
  outdir: TARGET,
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
