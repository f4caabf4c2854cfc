import type { RoutePlace } from './problem';

const WALK_S = { same: 0, next: 12, far: 25 } as const;

/** Round the vehicle: neighbours are near, the far corner is far. */
const RING: readonly RoutePlace[] = ['bonnet', 'front-right', 'rear-right', 'round', 'rear-left', 'front-left'];

/** Seconds from one place at the vehicle to another. */
export function walkSeconds(from: RoutePlace, to: RoutePlace): number {
  if (from === to) return WALK_S.same;
  const [a, b] = [RING.indexOf(from), RING.indexOf(to)];
  if (a < 0 || b < 0) return WALK_S.next;
  const apart = Math.abs(a - b);
  return Math.min(apart, RING.length - apart) === 1 ? WALK_S.next : WALK_S.far;
}
