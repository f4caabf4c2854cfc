/** Keeps the app itself on the device, so that it opens with no network. Made at build time; absent while developing. */
export function keepShell(): void {
  if (process.env.NODE_ENV !== 'production' || !('serviceWorker' in navigator)) return;
  navigator.serviceWorker
    .register('/service-worker.js')
    .catch((error: unknown) => console.warn('The app is not kept for offline use:', error));
}
