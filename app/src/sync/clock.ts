import { trustedNow, type ClockAnchor } from '@weskopos/core';

/** The server tells whole seconds; less than this apart is the same time, ms. */
const SAME_MS = 2000;

let anchor: ClockAnchor = { epochMs: Date.now(), steadyMs: performance.now() };

/** Now, epoch ms, by the server's clock where it was heard; the device's own may be set while a wait runs. */
export function nowMs(latestMs?: number): number {
  return trustedNow(anchor, performance.now(), latestMs);
}

export const nowIso = () => new Date(nowMs()).toISOString();

/** The server has told its time. */
export function heardServer(epochMs: number): void {
  if (Math.abs(nowMs() - epochMs) > SAME_MS) anchor = { epochMs, steadyMs: performance.now() };
}
