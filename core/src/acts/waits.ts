import { actsOf, type Act, type WaitKind } from './act';

/** A wait of this visit: it lives in the record, not in a tab. */
export interface Wait {
  readonly id: string;
  readonly kind: WaitKind;
  readonly startedAt: string;
  readonly lengthS: number;
  /** Heard, or stopped by hand. */
  readonly done: boolean;
}

/** Every wait of a visit, oldest first. */
export function waitsOf(acts: readonly Act[]): Wait[] {
  const done = new Set(actsOf(acts, 'wait-done').map(({ waits }) => waits));
  return actsOf(acts, 'wait').map(({ id, wait, at, lengthS }) => ({
    id,
    kind: wait,
    startedAt: at,
    lengthS,
    done: done.has(id),
  }));
}

/** Seconds a wait has still to go, 0 when it is over. Never negative, and never more than its length, whatever a clock says. */
export function remainingS(wait: Pick<Wait, 'startedAt' | 'lengthS'>, nowMs: number): number {
  const left = wait.lengthS - (nowMs - Date.parse(wait.startedAt)) / 1000;
  return Math.min(wait.lengthS, Math.max(0, left));
}

/** What the device knows of time: a moment it trusts, and how far its steady clock has run since. */
export interface ClockAnchor {
  /** Epoch ms at the anchor: the server's where it was heard, else the device's own. */
  readonly epochMs: number;
  /** The steady clock at the anchor, ms; it does not jump when somebody sets the time. */
  readonly steadyMs: number;
}

/**
 * Now, epoch ms: the anchor and what the steady clock has counted since. A device clock set forward or back in between
 * changes nothing. Never earlier than `latestMs`, the newest thing on record.
 */
export function trustedNow(anchor: ClockAnchor, steadyMs: number, latestMs = -Infinity): number {
  return Math.max(anchor.epochMs + Math.max(0, steadyMs - anchor.steadyMs), latestMs);
}
