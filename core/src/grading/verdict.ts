import { cataloguePoint, pointKey } from '../catalogue/catalogue';
import { SYSTEMS, type Station, type System } from '../catalogue/points/point';
import type { LookAhead } from '../inspection/aheadNote';
import { currentFindings } from '../inspection/currentFindings';
import type { Finding } from '../inspection/finding';
import type { Inspection } from '../inspection/inspection';
import type { Rules } from '../rules/rulebook';
import type { PointRef } from '../inspection/pointRef';
import { walkSteps } from '../inspection/walkSteps';
import { twinOf } from '../vehicle/place';
import { oppositePlace, otherAxlePlace, type Vehicle } from '../vehicle/vehicle';
import type { GradingContext } from './compared';
import { worstGrade, type Grade } from './grade';
import { gradePoint } from './gradePoint';
import { quantityRows, type QuantityRow } from './quantityRows';
import type { PointGrade } from './reason';

/** A point of a visit with what stands there and what it comes to. */
export interface GradedPoint extends PointRef {
  readonly key: string;
  readonly station: Station;
  readonly stop: string;
  readonly finding: Finding | undefined;
  readonly result: PointGrade;
}

/** How many points came to each grade. */
export type GradeCounts = Readonly<Record<Grade, number>>;

/** What one system of the vehicle comes to. */
export interface SystemVerdict {
  readonly system: System;
  readonly grade: Grade;
  readonly counts: GradeCounts;
}

/** What a visit comes to, point by point and together. */
export interface Verdict {
  /** Worst of what was graded (recorded without a limit is no grade); `not-seen` when nothing was. Read it together with `counts`. */
  readonly grade: Grade;
  readonly counts: GradeCounts;
  /** Only systems the visit has points of. */
  readonly systems: readonly SystemVerdict[];
  /** Every point the visit has, in walking order, looked at or not. */
  readonly points: readonly GradedPoint[];
  /** As they count and are listed: one row for each quantity. */
  readonly rows: readonly QuantityRow[];
}

/**
 * Grades the whole vehicle: every point the visit has, the worst that was graded, and what was not seen.
 * Not seen does not hide behind a pass: it is counted beside it. No averaging into a score.
 */
export function verdictOf(context: GradingContext): Verdict {
  return rollUp(gradedPoints(context));
}

/** Points graded before, with what they were graded by. */
interface GradedBefore {
  readonly context: GradingContext;
  readonly points: readonly GradedPoint[];
}

/**
 * Every point of the visit with its grade, in walking order. What was graded before under the same rules is taken over
 * where nothing it leans on has changed, so that one reading among two hundred points costs a handful of grades.
 */
export function gradedPoints(context: GradingContext, before?: GradedBefore): GradedPoint[] {
  const { vehicle, rules, inspection, standing } = context;
  const same =
    before?.context.vehicle === vehicle &&
    before.context.rules === rules &&
    before.context.inspection === inspection &&
    before.context.lookAhead === context.lookAhead;
  if (before && same) {
    const changed = (key: string) => before.context.standing.get(key) !== standing.get(key);
    return before.points.map((point) => {
      if (!leansOn(point, vehicle.axles).some(changed)) return point;
      return { ...point, finding: standing.get(point.key), result: gradePoint(point, context) };
    });
  }
  const plan = { vehicle, template: rules.template, house: rules.house, focus: inspection.focus };
  return walkSteps(plan).flatMap((step) =>
    step.points.map((ref): GradedPoint => {
      const key = pointKey(ref.point, ref.place);
      return {
        ...ref,
        key,
        station: step.station,
        stop: step.stop,
        finding: standing.get(key),
        result: gradePoint(ref, context),
      };
    }),
  );
}

/** A grader that remembers what it graded last: give it one context after the other. */
export function createGrader(): (context: GradingContext) => readonly GradedPoint[] {
  let before: GradedBefore | undefined;
  return (context) => {
    if (before?.context !== context) before = { context, points: gradedPoints(context, before) };
    return before.points;
  };
}

/** Keys of the findings a point's grade depends on: its own and those it is compared with. */
function leansOn({ point, place }: PointRef, axles: GradingContext['vehicle']['axles']): string[] {
  const otherAxle = otherAxlePlace(axles, place);
  const twin = twinOf(place);
  return [
    pointKey(point, place),
    ...(place === '' ? [] : [pointKey(point, oppositePlace(place))]),
    ...(otherAxle === undefined ? [] : [pointKey(point, otherAxle)]),
    ...(point === 'pad.inner' ? [pointKey('pad.outer', place)] : []),
    ...(point === 'pad.outer' ? [pointKey('pad.inner', place)] : []),
    ...(point === 'battery.crank' ? ['battery.rest'] : []),
    ...(point === 'cabin.codes' ? ['close.codes'] : []),
    ...(twin === null ? [] : [pointKey(point, twin)]),
  ];
}

/** Systems and vehicle take the worst of their points, one row for each quantity. */
export function rollUp(points: readonly GradedPoint[]): Verdict {
  const rows = quantityRows(points);
  const systems = SYSTEMS.flatMap((system): SystemVerdict[] => {
    const own = rows.filter(({ point }) => cataloguePoint(point).system === system);
    return own.length > 0 ? [{ system, ...gradeOf(own) }] : [];
  });
  return { ...gradeOf(rows), systems, points, rows };
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
export function worstFirst<P extends GradedPoint>(points: readonly P[]): P[] {
  const rank = (point: P) => (point.result.grade === 'fail' ? 0 : point.result.grade === 'advisory' ? 1 : 2);
  return points.filter((point) => rank(point) < 2 || point.result.watch).sort((a, b) => rank(a) - rank(b));
}

/** The verdict over one inspection's findings, by the rules it was made under; `lookAhead` for one not signed yet. */
export function verdictFor(
  vehicle: Vehicle,
  inspection: Inspection,
  findings: readonly Finding[],
  rules: Rules,
  lookAhead?: LookAhead,
): Verdict {
  return verdictOf({ vehicle, inspection, rules, standing: currentFindings(findings).standing, lookAhead });
}
