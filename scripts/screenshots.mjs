import { ensureChromium, ensureDependencies, ensureFilledDemo, ensureWebBuild, run } from './bootstrap.mjs';

ensureDependencies();
const browser = ensureChromium();
ensureWebBuild();
run('node', ['--import', 'tsx', 'e2e/screenshots.ts'], {
  env: { ...process.env, CHROMIUM_PATH: browser, WESKOPOS_DEMO_FOLDER: ensureFilledDemo() },
});
