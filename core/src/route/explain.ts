import type { WaitKind } from '../acts/act';
import type { RouteLeg, RouteProblem } from './problem';

/** A wait of the plan, and what is done meanwhile. */
export interface UsedWait {
  readonly wait: WaitKind;
  readonly fromS: number;
  readonly untilS: number;
  /** Stops worked at while it runs, in order. */
  readonly meanwhile: readonly string[];
  /** Of its length, how much was worked through, s. */
  readonly usedS: number;
}

/** What every wait of a plan is used for. */
export function usedWaits({ lags }: Pick<RouteProblem, 'lags'>, legs: readonly RouteLeg[]): UsedWait[] {
  const byId = new Map(legs.map((leg) => [leg.id, leg]));
  const seen = new Set<string>();
  return lags.flatMap(({ before, wait, seconds }): UsedWait[] => {
    const from = byId.get(before);
    if (wait === null || !from || seen.has(`${wait}${before}`)) return [];
    seen.add(`${wait}${before}`);
    const [fromS, untilS] = [from.endS, from.endS + seconds];
    const during = legs.filter((leg) => leg.id !== before && leg.startS < untilS && leg.endS > fromS);
    const usedS = during.reduce((sum, leg) => sum + Math.min(leg.endS, untilS) - Math.max(leg.startS, fromS), 0);
    return [{ wait, fromS, untilS, meanwhile: during.map(({ id }) => id), usedS }];
  });
}
