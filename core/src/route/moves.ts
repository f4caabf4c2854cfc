import type { Lift, RouteMoves, RoutePlace } from './problem';

const WALK_S = { same: 0, next: 12, far: 25 } as const;

/** Round the vehicle: neighbours are near, the far corner is far. */
const RING: readonly RoutePlace[] = ['bonnet', 'front-right', 'rear-right', 'round', 'rear-left', 'front-left'];

/** Seconds from one place at the vehicle to another. */
function walkSeconds(from: RoutePlace, to: RoutePlace): number {
  if (from === to) return WALK_S.same;
  const [a, b] = [RING.indexOf(from), RING.indexOf(to)];
  if (a < 0 || b < 0) return WALK_S.next;
  const apart = Math.abs(a - b);
  return Math.min(apart, RING.length - apart) === 1 ? WALK_S.next : WALK_S.far;
}

/** Seconds to raise it to each height from its wheels; between two heights their difference, and the lock. */
const LIFT_S: Readonly<Record<Lift, number>> = { down: 0, chest: 60, full: 90 };
const LOCK_S = 15;

function liftSeconds(from: Lift, to: Lift): number {
  if (from === to) return 0;
  const way = Math.abs(LIFT_S[to] - LIFT_S[from]);
  return from === 'down' || to === 'down' ? way : way + LOCK_S;
}

/** What moving about and lifting cost in an ordinary bay. */
export const BAY_MOVES: RouteMoves = { walkS: walkSeconds, liftS: liftSeconds };
