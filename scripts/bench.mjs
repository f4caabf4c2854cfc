import { ensureDependencies, ensureWebBuild, run } from './bootstrap.mjs';

ensureDependencies();
ensureWebBuild();
run('node', ['--import', 'tsx', 'bench/main.ts', ...process.argv.slice(2)]);
