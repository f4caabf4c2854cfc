/** Fills `.cache/demo` with the demo workshop for the tests, which work on copies of it; leaves it where it is fresh. */
import { spawn } from 'node:child_process';
import fs from 'node:fs';
import { DEMO_FOLDER, demoIsFresh, demoIsFilled, ensureServerBuild, ROOT } from './bootstrap.mjs';

ensureServerBuild();
if (demoIsFresh()) process.exit(0);
fs.rmSync(DEMO_FOLDER, { recursive: true, force: true });
const server = spawn('node', ['--enable-source-maps', 'dist/server/demo.js'], {
  cwd: ROOT,
  stdio: ['ignore', 'pipe', 'inherit'],
  env: { ...process.env, PORT: '0', WESKOPOS_DATA: DEMO_FOLDER },
});
let output = '';
let ready = false;
server.stdout.on('data', (chunk) => {
  output += chunk;
  if (ready || !output.includes('ready at')) return;
  ready = true;
  server.kill('SIGTERM');
});
server.on('exit', (code) => {
  if (ready && code === 0) demoIsFilled();
  else console.error(output);
  process.exit(ready ? (code ?? 1) : 1);
});
