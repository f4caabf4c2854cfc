import { ensureDependencies, ensureFilledDemo, ensureWebBuild, run } from './bootstrap.mjs';

ensureDependencies();
ensureWebBuild();
ensureFilledDemo();
run('node', ['--import', 'tsx', 'bench/main.ts', ...process.argv.slice(2)]);
