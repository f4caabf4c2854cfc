import { cataloguePoint, pointKey } from '../catalogue/catalogue';
import { SYSTEMS, type Station, type System } from '../catalogue/points/point';
import type { Finding } from '../inspection/finding';
import { walkSteps, type PointRef } from '../inspection/walkSteps';
import type { GradingContext } from './compared';
import { worstGrade, type Grade } from './grade';
import { gradePoint } from './gradePoint';
import type { PointGrade } from './reason';

export interface GradedPoint extends PointRef {
  readonly key: string;
  readonly station: Station;
  readonly stop: string;
  readonly finding: Finding | undefined;
  readonly result: PointGrade;
}

export type GradeCounts = Readonly<Record<Grade, number>>;

export interface SystemVerdict {
  readonly system: System;
  readonly grade: Grade;
  readonly counts: GradeCounts;
}

export interface Verdict {
  /** Worst of what was graded (recorded without a limit is no grade); `not-seen` when nothing was. Read it together with `counts`. */
  readonly grade: Grade;
  readonly counts: GradeCounts;
  /** Only systems the visit has points of. */
  readonly systems: readonly SystemVerdict[];
  /** Every point the visit has, in walking order, looked at or not. */
  readonly points: readonly GradedPoint[];
}

/**
 * Grades the whole vehicle: every point the visit has, the worst that was graded, and what was not seen.
 * Not seen does not hide behind a pass: it is counted beside it. No averaging into a score.
 */
export function verdictOf(context: GradingContext): Verdict {
  return rollUp(gradedPoints(context));
}

/** Every point of the visit with its grade, in walking order. */
export function gradedPoints(context: GradingContext): GradedPoint[] {
  const { vehicle, rules, inspection } = context;
  const plan = { vehicle, template: rules.template, house: rules.house, focus: inspection.focus };
  return walkSteps(plan).flatMap((step) =>
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
}

/** Systems and vehicle take the worst of their points. */
export function rollUp(points: readonly GradedPoint[]): Verdict {
  const systems = SYSTEMS.flatMap((system): SystemVerdict[] => {
    const own = points.filter(({ point }) => cataloguePoint(point).system === system);
    return own.length > 0 ? [{ system, ...gradeOf(own) }] : [];
  });
  return { ...gradeOf(points), systems, points };
}

function gradeOf(points: readonly GradedPoint[]): { grade: Grade; counts: GradeCounts } {
  const counts: Record<Grade, number> = { pass: 0, recorded: 0, 'not-seen': 0, advisory: 0, fail: 0 };
  for (const point of points) counts[point.result.grade] += 1;
  const graded = points
    .map((point) => point.result.grade)
    .filter((grade) => grade !== 'not-seen' && grade !== 'recorded');
  return { grade: worstGrade(graded), counts };
}

/** Worst first, walking order within a grade; only what needs a word. */
export function worstFirst(points: readonly GradedPoint[]): GradedPoint[] {
  const rank = (point: GradedPoint) => (point.result.grade === 'fail' ? 0 : point.result.grade === 'advisory' ? 1 : 2);
  return points.filter((point) => rank(point) < 2 || point.result.watch).sort((a, b) => rank(a) - rank(b));
}
