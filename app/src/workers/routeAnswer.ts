import { planRoute, plainRoute, usedWaits, BAY_MOVES } from '@weskopos/core/routing';
import type { RouteLeg, RouteQuestion, UsedWait } from '@weskopos/core/routing';

/** A planned route as the worker tells it. */
export interface RouteAnswer {
  readonly legs: readonly RouteLeg[];
  readonly totalS: number;
  /** Against walking by the list, s. */
  readonly savedS: number;
  readonly waits: readonly UsedWait[];
  /** Share by which it can at most be longer than the shortest order there is; 0 for the shortest. */
  readonly longerAtMost: number;
}

/** Plans a route; null where no order keeps its conditions. */
export function answerRoute(question: RouteQuestion): RouteAnswer | null {
  const problem = { ...question, ...BAY_MOVES };
  const plain = plainRoute(problem);
  if (!plain) return null;
  const { legs, totalS, lowerBoundS } = planRoute(problem);
  return {
    legs,
    totalS,
    savedS: Math.max(0, (plain.at(-1)?.endS ?? 0) - totalS),
    waits: usedWaits(problem, legs),
    longerAtMost: lowerBoundS > 0 ? totalS / lowerBoundS - 1 : 0,
  };
}
