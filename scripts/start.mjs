import { ensureDependencies, ensureServerBuild, ensureWebBuild, serve } from './bootstrap.mjs';

ensureDependencies();
ensureWebBuild();
ensureServerBuild();
serve(['--enable-source-maps', 'dist/server/main.js'], {});
