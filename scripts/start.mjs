import { ensureDependencies, ensureWebBuild, serve } from './bootstrap.mjs';

ensureDependencies();
ensureWebBuild();
serve('server/src/main.ts', {});
