import type { Bound } from '../inspection/finding';
import type { Threshold } from '../limits/limitSheet';

/** What an inequality tells of the limits. */
export interface BoundJudgement {
  /** Worst edge that is surely crossed. */
  readonly crossed: Threshold | null;
  /** Worst edge of which the bound does not tell whether it is crossed; null when all are decided. */
  readonly undecided: Threshold | null;
}

/** Bars are moulded in round figures of either family: 1.6 mm and 2/32 in are one bar, stored unit. */
const SAME_BAR = 0.02;

/**
 * Judges a bound as far as it goes, without making a number of it. `over` x: the truth is more than x; `under` x: at
 * most x. An `under` bound at an edge counts as crossing it: a bar that is flush fails the limit that is the bar's.
 */
export function judgeBound(value: number, bound: Exclude<Bound, 'exact'>, edges: readonly Threshold[]): BoundJudgement {
  const sure = edges.filter((edge) =>
    bound === 'under'
      ? edge.bad === 'below' && value <= edge.value + SAME_BAR
      : edge.bad === 'above' && value >= edge.value,
  );
  const clear = edges.filter((edge) =>
    bound === 'under' ? edge.bad === 'above' && value <= edge.value : edge.bad === 'below' && value >= edge.value,
  );
  const open = edges.filter((edge) => !sure.includes(edge) && !clear.includes(edge));
  return { crossed: worst(sure), undecided: worst(open) };
}

function worst(edges: readonly Threshold[]): Threshold | null {
  return edges.find(({ grade }) => grade === 'fail') ?? edges[0] ?? null;
}
