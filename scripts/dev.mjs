/** One address for work on it: the web bundler with fast refresh hands /api on to the demo server, which starts anew when its sources change. */
import { spawn } from 'node:child_process';
import path from 'node:path';
import { ensureDependencies, ROOT } from './bootstrap.mjs';

ensureDependencies();
const API_PORT = process.env.API_PORT ?? '4311';
const PORT = process.env.PORT ?? '4310';
const watched = ['server/src', 'core/src', 'contract/src', 'words/src', 'demo/src'].flatMap((folder) => [
  '--watch-path',
  folder,
]);
const parts = [
  spawn('node', ['--watch', ...watched, '--import', 'tsx', 'demo/src/main.ts'], {
    cwd: ROOT,
    stdio: 'inherit',
    env: { ...process.env, PORT: API_PORT, WESKOPOS_DATA: process.env.WESKOPOS_DATA ?? path.join(ROOT, '.demo-data') },
  }),
  spawn('npx', ['expo', 'start', '--web', '--port', PORT], {
    cwd: path.join(ROOT, 'app'),
    stdio: 'inherit',
    env: { ...process.env, API_PORT, BROWSER: 'none', EXPO_NO_TELEMETRY: '1', EXPO_OFFLINE: '1' },
  }),
];
console.log(`The app with fast refresh: http://localhost:${PORT}`);
const end = () => parts.forEach((part) => part.kill('SIGTERM'));
for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, end);
for (const part of parts) part.on('exit', end);
