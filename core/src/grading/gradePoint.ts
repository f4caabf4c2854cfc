import { MEASURES, type MeasureCode } from '../catalogue/measures';
import { cataloguePoint, pointKey, type Spot } from '../catalogue/points';
import {
  readingAt,
  readingValue,
  type Finding,
  type Inspection,
  type Phase,
  type Reading,
} from '../inspection/finding';
import type { PointRef } from '../inspection/walkSteps';
import { limitRows, type LimitRow, type LimitSheet } from '../limits/limitSheet';
import { axleAt, oppositePlace, type Vehicle } from '../vehicle/vehicle';
import { GRADES, worstGrade, type Grade } from './grade';
import { gradeLeak } from './gradeLeak';
import { judgeValue } from './judgeValue';
import { pressureAtReference } from './pressureAtReference';
import type { PointGrade, Reason } from './reason';
import { standardUncertainty } from './uncertainty';

export interface GradingContext {
  readonly vehicle: Pick<Vehicle, 'class' | 'axles'>;
  readonly inspection: Pick<Inspection, 'state' | 'ambientC'>;
  readonly sheet: LimitSheet;
  /** House rule: pass only when clear of the limit by the gauge's uncertainty. */
  readonly guarded: boolean;
  /** What stands for each point now, by point key: the other pad, the other side. */
  readonly standing: ReadonlyMap<string, Finding>;
}

/**
 * Grades one point as found and as left. The grade is that of *as left*; the worst of its parts counts;
 * missing is `not-seen`, never a pass.
 */
export function gradePoint(ref: PointRef, context: GradingContext): PointGrade {
  const reasons = reasonsFor(ref, context, undefined);
  const found = worstGrade(reasonsFor(ref, context, 'found').map((reason) => reason.grade));
  const finding = context.standing.get(pointKey(ref.point, ref.place));
  const putRight = finding?.readings.some((reading) => reading.phase === 'left') ?? false;
  const grade = worstGrade(reasons.map((reason) => reason.grade));
  return {
    grade,
    watch: reasons.some((reason) => reason.rule === 'leak' && reason.watch),
    corrected: putRight && GRADES.indexOf(found) > GRADES.indexOf(grade),
    asFound: putRight ? found : grade,
    closeCall: reasons.some((reason) => reason.rule === 'limit' && reason.closeCall),
    reasons,
  };
}

/**
 * The grade of one place's own reading, leaving out what only arises by comparison with others (spread, other pad,
 * other side); `not-seen` without a reading there.
 */
export function gradeAtSpot({ reasons }: Pick<PointGrade, 'reasons'>, spot: Spot): Grade {
  const own = reasons.filter((reason) => {
    if (reason.rule === 'limit')
      return reason.spot === spot && (reason.kind === 'value' || reason.kind === 'placard-share');
    return reason.rule === 'no-limit';
  });
  return worstGrade(own.map((reason) => reason.grade));
}

function reasonsFor(ref: PointRef, context: GradingContext, phase: Phase | undefined): Reason[] {
  const finding = context.standing.get(pointKey(ref.point, ref.place));
  if (!finding || finding.access === 'open') return [{ rule: 'not-looked-at', grade: 'not-seen' }];
  if (finding.access === 'not-reached') return [{ rule: 'not-reached', grade: 'not-seen', why: finding.accessReason }];
  const reasons = [
    ...(finding.access === 'partly'
      ? [{ rule: 'partly-seen', grade: 'not-seen', why: finding.accessReason } as const]
      : []),
    ...measureReasons(ref, finding, context, phase),
    ...(finding.leak ? [gradeLeak(finding.leak, context.sheet)] : []),
    ...finding.words.map((word): Reason => ({ rule: 'word', grade: context.sheet.words[word], word, basis: 'house' })),
  ];
  if (reasons.length === 0) {
    // A leak point says `dry` in so many words; an entry without an observation is not a look.
    const silent = cataloguePoint(ref.point).kind === 'leak';
    return [silent ? { rule: 'not-looked-at', grade: 'not-seen' } : { rule: 'sound', grade: 'pass' }];
  }
  return reasons.sort((a, b) => GRADES.indexOf(b.grade) - GRADES.indexOf(a.grade));
}

function measureReasons(ref: PointRef, finding: Finding, context: GradingContext, phase: Phase | undefined): Reason[] {
  const { measure, spots } = cataloguePoint(ref.point);
  if (!measure) return [];
  const missing = spots.filter((spot) => !readingAt(finding, spot, phase));
  const rows = limitRows(context.sheet, measure, context.vehicle.class);
  const judged = rows.flatMap((row) => judgeRow(row, ref, finding, context, phase));
  const ungraded: Reason[] =
    judged.some((reason) => reason.rule === 'no-limit') || rows.length > 0
      ? []
      : [{ rule: 'no-limit', grade: 'recorded', measure, why: 'no-row' }];
  const gaps: Reason[] =
    missing.length > 0 ? [{ rule: 'reading-missing', grade: 'not-seen', measure, spots: missing }] : [];
  return [...gaps, ...judged, ...ungraded];
}

function judgeRow(
  row: LimitRow,
  ref: PointRef,
  finding: Finding,
  context: GradingContext,
  phase: Phase | undefined,
): Reason[] {
  const readings = cataloguePoint(ref.point)
    .spots.map((spot) => readingAt(finding, spot, phase))
    .filter((reading): reading is Reading => reading !== undefined);
  switch (row.kind) {
    case 'value':
      return readings.flatMap((reading) =>
        judge(row, reading.spot, readingValue(reading), uncertaintyOf(row.measure, reading), context.guarded),
      );
    case 'spread':
      return spreadReasons(row, readings, context.guarded);
    case 'across':
      return differenceReasons(row, ref, readings, context, phase, pointKey(ref.point, oppositePlace(ref.place)));
    case 'inner-outer': {
      const other = ref.point === 'pad.inner' ? 'pad.outer' : 'pad.inner';
      return differenceReasons(row, ref, readings, context, phase, pointKey(other, ref.place));
    }
    case 'placard-share':
      return readings.flatMap((reading) => placardReasons(row, ref, reading, context));
  }
}

function uncertaintyOf(measure: MeasureCode, reading: Reading): number {
  return standardUncertainty(MEASURES[measure], reading.values.length);
}

function judge(row: LimitRow, spot: Spot, value: number, u: number, guarded: boolean): Reason[] {
  const judgement = judgeValue(value, row.thresholds, u, guarded);
  return judgement ? [{ rule: 'limit', kind: row.kind, measure: row.measure, spot, value, ...judgement }] : [];
}

function spreadReasons(row: LimitRow, readings: readonly Reading[], guarded: boolean): Reason[] {
  if (readings.length < 2) return [];
  const values = readings.map(readingValue);
  const u = Math.SQRT2 * Math.max(...readings.map((reading) => uncertaintyOf(row.measure, reading)));
  return onlyBad(judge(row, 'whole', Math.max(...values) - Math.min(...values), u, guarded));
}

function differenceReasons(
  row: LimitRow,
  ref: PointRef,
  readings: readonly Reading[],
  context: GradingContext,
  phase: Phase | undefined,
  otherKey: string,
): Reason[] {
  const own = readings[0];
  const otherFinding = context.standing.get(otherKey);
  const other = readingAt(otherFinding, own?.spot ?? 'whole', phase) ?? readingAt(otherFinding, own?.spot ?? 'whole');
  if (!own || !other || otherKey === pointKey(ref.point, ref.place)) return [];
  const u = Math.hypot(uncertaintyOf(row.measure, own), uncertaintyOf(row.measure, other));
  return onlyBad(judge(row, own.spot, Math.abs(readingValue(own) - readingValue(other)), u, context.guarded));
}

/** A difference that is small enough says nothing worth a line of its own. */
function onlyBad(reasons: Reason[]): Reason[] {
  return reasons.filter((reason) => reason.grade !== 'pass');
}

function placardReasons(row: LimitRow, ref: PointRef, reading: Reading, context: GradingContext): Reason[] {
  const placardKpa = axleAt(context.vehicle.axles, ref.place)?.placardKpa ?? null;
  const { state, ambientC } = context.inspection;
  const ungraded = (why: 'no-placard' | 'tyre-not-cold' | 'no-temperature'): Reason[] => [
    { rule: 'no-limit', grade: 'recorded' satisfies Grade, measure: row.measure, why },
  ];
  if (placardKpa === null) return ungraded('no-placard');
  if (state !== 'cold') return ungraded('tyre-not-cold');
  if (ambientC === null) return ungraded('no-temperature');
  const atReferenceKpa = pressureAtReference(readingValue(reading), ambientC);
  const off = atReferenceKpa - placardKpa;
  const share = Math.abs(off) <= (row.ignoreUpToKpa ?? 0) ? 0 : off / placardKpa;
  const u = uncertaintyOf(row.measure, reading) / placardKpa;
  return judge(row, reading.spot, share, u, context.guarded).map((reason) =>
    reason.rule === 'limit' ? { ...reason, pressure: { atReferenceKpa, placardKpa } } : reason,
  );
}
