import path from 'node:path';
import { ensureDependencies, ensureServerBuild, ensureWebBuild, ROOT, serve } from './bootstrap.mjs';

ensureDependencies();
ensureWebBuild();
ensureServerBuild();
serve(['--enable-source-maps', 'dist/server/demo.js'], {
  WESKOPOS_DATA: process.env.WESKOPOS_DATA ?? path.join(ROOT, '.demo-data'),
});
