import type { Threshold } from '../limits/limitSheet';
import { CLOSE_CALL_FACTOR } from '../sums/uncertainty';

/** What a value comes to against its limits, and the edge that decided. */
export interface Judgement {
  readonly grade: 'pass' | 'advisory' | 'fail';
  /** The edge that decided: crossed, or for a pass the nearest one. */
  readonly threshold: Threshold;
  readonly closeCall: boolean;
}

/** Differences of decimal readings carry binary noise; a billionth of a unit is far below any gauge. */
const NOISE = 1e-9;

/** How far `value` is on the good side of an edge; negative on the bad side. */
function margin(value: number, edge: Threshold): number {
  return edge.bad === 'below' ? value - edge.value : edge.value - value;
}

function crossed(value: number, edge: Threshold, guard: number): boolean {
  const left = margin(value, edge) - guard;
  return edge.inclusive ? left <= NOISE : left < -NOISE;
}

/**
 * Judges one value by its edges.
 *
 * Plain rule: compare the value. Guarded rule: the boundary of *pass* moves by 1.645·u to the good side;
 * the fail limit stays plain when an advisory limit guards it (JCGM 106:2012, ISO 14253-1).
 * A close call is a value nearer than 1.645·u to any edge.
 *
 * @param u standard uncertainty of `value`, same unit, ≥ 0
 * @returns undefined without edges: nothing to judge by
 */
export function judgeValue(
  value: number,
  edges: readonly Threshold[],
  u: number,
  guarded: boolean,
): Judgement | undefined {
  const nearest = [...edges].sort((a, b) => Math.abs(margin(value, a)) - Math.abs(margin(value, b)))[0];
  if (!nearest) return undefined;
  const closeCall = edges.some((edge) => Math.abs(margin(value, edge)) < CLOSE_CALL_FACTOR * u - NOISE);
  const failed = edges.find((edge) => edge.grade === 'fail' && crossed(value, edge, 0));
  if (failed) return { grade: 'fail', threshold: failed, closeCall };
  const guard = guarded ? CLOSE_CALL_FACTOR * u : 0;
  const advised = edges.find((edge) => edge.grade === 'advisory' && crossed(value, edge, guard));
  if (advised) return { grade: 'advisory', threshold: advised, closeCall };
  // Without an advisory edge on that side the boundary of pass is the fail limit: near it is advised, not failed.
  const guardedFail = edges.find((edge) => edge.grade === 'fail' && crossed(value, edge, guard));
  if (guardedFail) return { grade: 'advisory', threshold: guardedFail, closeCall };
  return { grade: 'pass', threshold: nearest, closeCall };
}
