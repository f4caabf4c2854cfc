import path from 'node:path';
import { ensureDependencies, ensureWebBuild, ROOT, serve } from './bootstrap.mjs';

ensureDependencies();
ensureWebBuild();
serve(['--import', 'tsx', 'demo/src/main.ts'], {
  WESKOPOS_DATA: process.env.WESKOPOS_DATA ?? path.join(ROOT, '.demo-data'),
});
