import { pointKey, type Station } from '../catalogue/points';
import type { Finding } from '../inspection/finding';
import { walkSteps, type PointRef } from '../inspection/walkSteps';
import { worstGrade, type Grade } from './grade';
import { gradePoint, type GradingContext } from './gradePoint';
import type { PointGrade } from './reason';

export interface GradedPoint extends PointRef {
  readonly key: string;
  readonly station: Station;
  readonly stop: string;
  readonly finding: Finding | undefined;
  readonly result: PointGrade;
}

export interface Verdict {
  /** Worst of what was graded (recorded without a limit is no grade); `not-seen` when nothing was. Read it together with `counts`. */
  readonly grade: Grade;
  readonly counts: Readonly<Record<Grade, number>>;
  /** Every point the vehicle has, in walking order, looked at or not. */
  readonly points: readonly GradedPoint[];
}

/**
 * Grades the whole vehicle: every point it has, the worst that was graded, and what was not seen.
 * Not seen does not hide behind a pass: it is counted beside it. No averaging into a score.
 */
export function verdictOf(context: GradingContext): Verdict {
  const points = walkSteps(context.vehicle.axles).flatMap((step) =>
    step.points.map((ref): GradedPoint => {
      const key = pointKey(ref.point, ref.place);
      return {
        ...ref,
        key,
        station: step.station,
        stop: step.stop,
        finding: context.standing.get(key),
        result: gradePoint(ref, context),
      };
    }),
  );
  const counts: Record<Grade, number> = { pass: 0, recorded: 0, 'not-seen': 0, advisory: 0, fail: 0 };
  for (const point of points) counts[point.result.grade] += 1;
  const graded = points
    .map((point) => point.result.grade)
    .filter((grade) => grade !== 'not-seen' && grade !== 'recorded');
  return { grade: worstGrade(graded), counts, points };
}

/** Worst first, walking order within a grade; only what needs a word. */
export function worstFirst(points: readonly GradedPoint[]): GradedPoint[] {
  const rank = (point: GradedPoint) => (point.result.grade === 'fail' ? 0 : point.result.grade === 'advisory' ? 1 : 2);
  return points.filter((point) => rank(point) < 2 || point.result.watch).sort((a, b) => rank(a) - rank(b));
}
