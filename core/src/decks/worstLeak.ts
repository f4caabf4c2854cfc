import { LEAK_STAGES, type LeakStage } from '../catalogue/leaks';
import type { GradedPoint } from '../grading/verdict';

/** The furthest stage among a point's leaks; null where nothing leaks. */
export function worstLeak({ finding }: Pick<GradedPoint, 'finding'>): Exclude<LeakStage, 'dry'> | null {
  const furthest = Math.max(0, ...(finding?.leaks ?? []).map(({ stage }) => LEAK_STAGES.indexOf(stage)));
  const stage = LEAK_STAGES[furthest];
  return stage === undefined || stage === 'dry' ? null : stage;
}
