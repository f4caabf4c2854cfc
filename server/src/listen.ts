import type { AddressInfo } from 'node:net';
import http from 'node:http';
import type { Context } from './context';
import { createApp } from './createApp';

/** Requests still running after this long are cut off, so that a stop ends within five seconds. */
const GRACE_MS = 3000;

/** A server that listens. */
export interface Running {
  readonly port: number;
  /** Finishes open requests, then closes what the context opened. */
  stop(): Promise<void>;
}

/** Serves an opened context on its port. Rejects when the port is taken. */
export async function listen(context: Context): Promise<Running> {
  const server = http.createServer(createApp(context));
  await new Promise<void>((resolve, reject) => {
    server.once('error', reject);
    server.listen(context.config.port, resolve);
  });
  const stop = async () => {
    const closed = new Promise<void>((resolve) => server.close(() => resolve()));
    context.live.close();
    server.closeIdleConnections();
    const cut = setTimeout(() => server.closeAllConnections(), GRACE_MS);
    await closed;
    clearTimeout(cut);
    await context.close();
  };
  return { port: (server.address() as AddressInfo).port, stop };
}
