/** After the export: a service worker that keeps the app's own files on the device. */
import { generateSW } from 'workbox-build';
import path from 'node:path';
import { fileURLToPath } from 'node:url';

const dist = path.resolve(path.dirname(fileURLToPath(import.meta.url)), '..', 'dist');
const { count, size, warnings } = await generateSW({
  globDirectory: dist,
  globPatterns: ['index.html', '*.{css,json,svg}', '_expo/**/*.js', 'assets/**/*.ttf'],
  swDest: path.join(dist, 'service-worker.js'),
  navigateFallback: '/index.html',
  navigateFallbackDenylist: [/^\/api\//, /^\/healthz/, /^\/k\//, /^\/calendar\//],
  maximumFileSizeToCacheInBytes: 5 * 1024 * 1024,
  clientsClaim: true,
  skipWaiting: true,
  inlineWorkboxRuntime: true,
  sourcemap: false,
  runtimeCaching: [
    {
      urlPattern: /\/api\/photos\//,
      handler: 'CacheFirst',
      options: { cacheName: 'photos', expiration: { maxEntries: 400 } },
    },
  ],
});
for (const warning of warnings) console.warn(warning);
console.log(`The app keeps ${count} files (${Math.round(size / 1024)} kB) on the device.`);
