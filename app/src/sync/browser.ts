import type { WorkshopPorts } from './createWorkshop';
import { heardServer, nowIso } from './clock';
import { openDeviceStore } from './deviceStore';
import { createTransport } from './transport';

/** The world around the app where it runs in a browser. */
export const BROWSER: WorkshopPorts = {
  server: createTransport({ fetch: (path, init) => fetch(path, init), heardServer }),
  openStore: openDeviceStore,
  later: (work, ms) => {
    const timer = setTimeout(work, ms);
    return () => clearTimeout(timer);
  },
  onOnline: (heard) => window.addEventListener('online', heard),
  newId: () => crypto.randomUUID(),
  now: nowIso,
  // For as long as the page is open.
  deviceId: `web-${Math.random().toString(36).slice(2, 10)}`,
};
