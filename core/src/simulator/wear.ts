/** How one part really wears: what the gauges then see is drawn from it. */
export interface WearTruth {
  /** Value when fitted, and at which distance since the first visit, km. */
  readonly fresh: number;
  readonly fittedKm: number;
  /** Loss per 1000 km. */
  readonly per1000: number;
  /** A change of rate (a dragging calliper): from this distance on, times this factor. */
  readonly change?: { readonly fromKm: number; readonly factor: number };
}

/** The true value at a distance, never below zero. */
export function wornTo(truth: WearTruth, km: number): number {
  const turn = truth.change?.fromKm ?? Infinity;
  const before = Math.max(0, Math.min(km, turn) - truth.fittedKm);
  const after = Math.max(0, km - Math.max(turn, truth.fittedKm));
  return Math.max(0, truth.fresh - (truth.per1000 * (before + after * (truth.change?.factor ?? 1))) / 1000);
}
