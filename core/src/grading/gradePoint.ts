import { cataloguePoint, mainSlot, pointKey } from '../catalogue/catalogue';
import { MEASURES, type MeasureCode } from '../catalogue/measures';
import type { CataloguePoint, MeasureSlot, Spot } from '../catalogue/points/point';
import { readingAt, type Finding, type Phase, type Reading } from '../inspection/finding';
import type { PointRef } from '../inspection/pointRef';
import { wordGrade, type LimitRow } from '../limits/limitSheet';
import { rowsFor, type LimitScope } from '../limits/rowsFor';
import { aheadOnRecord } from '../inspection/aheadNote';
import { compared, type Compared, type GradingContext } from './compared';
import { GLITTER } from '../catalogue/words';
import { oneOf } from '../sums/keyed';
import { asksOfGlitter, gradeGlitter } from './gradeGlitter';
import { GRADES, isWrong, worstGrade, type Grade } from './grade';
import { gradeLeak } from './gradeLeak';
import { judgeBound } from './judgeBound';
import { judgeValue } from './judgeValue';
import { oppositePlace } from '../vehicle/vehicle';
import type { PointGrade, Reason } from './reason';

/**
 * Grades one point as found and as left. The computed grade is that of *as left*; the worst of its parts counts;
 * missing is `not-seen`, never a pass. A person's own grade stands beside it and counts.
 */
export function gradePoint(ref: PointRef, context: GradingContext): PointGrade {
  const finding = context.standing.get(pointKey(ref.point, ref.place));
  const reasons = reasonsFor(ref, finding, context, undefined);
  const computed = worstGrade(reasons.map((reason) => reason.grade));
  const putRight =
    (finding?.readings.some((reading) => reading.phase === 'left') ?? false) ||
    (finding?.counts.some((count) => count.found !== null) ?? false);
  const found = putRight
    ? worstGrade(reasonsFor(ref, finding, context, 'found').map((reason) => reason.grade))
    : computed;
  // Nobody grades what was not looked at.
  const override = finding && finding.access !== 'open' && finding.access !== 'not-reached' ? finding.override : null;
  return {
    grade: override?.grade ?? computed,
    computed,
    override,
    failsLaw: reasons.some((reason) => reason.grade === 'fail' && basisOf(reason) === 'law'),
    watch: reasons.some((reason) => reason.rule === 'leak' && reason.watch),
    corrected: putRight && isWrong(found) && GRADES.indexOf(found) > GRADES.indexOf(computed),
    asFound: found,
    closeCall: reasons.some((reason) => reason.rule === 'limit' && reason.closeCall),
    carried: finding?.carried ?? null,
    reasons,
  };
}

/** On whose authority a reason grades; null for one that compares with nothing. */
export function basisOf(reason: Reason): 'law' | 'maker' | 'house' | null {
  if (reason.rule === 'limit' || reason.rule === 'undecided') return reason.threshold.basis;
  return 'basis' in reason ? reason.basis : null;
}

/**
 * The grade of one place's own reading, leaving out what only arises by comparison with others (spread, other pad,
 * other side); `not-seen` without a reading there.
 */
export function gradeAtSpot({ reasons }: Pick<PointGrade, 'reasons'>, measure: string, spot: Spot): Grade {
  const own = reasons.filter((reason) => {
    if (reason.rule === 'limit')
      return reason.measure === measure && reason.spot === spot && !COMPARISONS.includes(reason.kind);
    if (reason.rule === 'undecided' || reason.rule === 'ahead')
      return reason.measure === measure && reason.spot === spot;
    return reason.rule === 'no-limit' && reason.measure === measure;
  });
  return worstGrade(own.map((reason) => reason.grade));
}
const COMPARISONS: readonly LimitRow['kind'][] = ['spread', 'across', 'inner-outer', 'front-rear', 'twins'];

function reasonsFor(
  ref: PointRef,
  finding: Finding | undefined,
  context: GradingContext,
  phase: Phase | undefined,
): Reason[] {
  if (!finding || finding.access === 'open') return [{ rule: 'not-looked-at', grade: 'not-seen' }];
  if (finding.access === 'not-reached') return [{ rule: 'not-reached', grade: 'not-seen', why: finding.accessReason }];
  const point = cataloguePoint(ref.point);
  const outOf = finding.outOf.length > 0;
  const reasons: Reason[] = [
    ...(outOf ? [{ rule: 'out-of-condition', grade: 'not-seen', needs: finding.outOf } as const] : []),
    ...(finding.access === 'partly'
      ? [{ rule: 'partly-seen', grade: 'not-seen', why: finding.accessReason } as const]
      : []),
    ...gaps(point, finding, context, phase),
    // A figure read in the wrong state says nothing; a split belt is split in any.
    ...(outOf ? [] : usedSlots(point, finding, phase)).flatMap(({ measure, readings }) =>
      withoutAsides(point, measure, measureReasons(ref, finding, measure, readings, context, phase)),
    ),
    ...(outOf || finding.carried || phase ? [] : aheadReasons(ref, usedSlots(point, finding, phase), context)),
    ...observationReasons(point, finding, context, phase),
    ...pairReasons(point, ref, context),
  ];
  return reasons.length === 0
    ? [silentReason(point, finding)]
    : reasons.sort((a, b) => GRADES.indexOf(b.grade) - GRADES.indexOf(a.grade));
}

/** A leak, a count or a code reading says nothing by being silent; an eye that saw nothing wrong does. */
function silentReason(point: CataloguePoint, finding: Finding): Reason {
  const wants =
    point.leakWanted || (point.counted !== null && finding.words.length === 0 && finding.counts.length === 0);
  if (wants) return { rule: 'not-looked-at', grade: 'not-seen' };
  const [extra] = point.measures;
  // Nothing but a figure is to be had here: whoever read none has seen nothing.
  if (extra && !point.vocabulary)
    return {
      rule: 'reading-missing',
      grade: 'not-seen',
      measures: point.measures.map(({ measure }) => measure),
      spots: extra.spots,
    };
  const worn = point.measures.find(({ measure }) => MEASURES[measure].nature === 'wear');
  if (worn) return { rule: 'no-limit', grade: 'recorded', measure: worn.measure, why: 'not-measured' };
  return { rule: 'sound', grade: 'pass' };
}

function readingsAt(slot: MeasureSlot, finding: Finding, phase: Phase | undefined): Reading[] {
  return slot.spots.flatMap((spot) => readingAt(finding, slot.measure, spot, phase) ?? []);
}

function usedSlots(point: CataloguePoint, finding: Finding, phase: Phase | undefined) {
  const leftBy = point.measures.filter(
    ({ need, measure }) =>
      need === 'one' && finding.readings.some((reading) => reading.measure === measure && reading.phase === 'left'),
  );
  return (
    point.measures
      // Found by one gauge and left by another: what it was left at is what stands.
      .filter((slot) => phase || slot.need !== 'one' || leftBy.length === 0 || leftBy.includes(slot))
      .map((slot) => ({ measure: slot.measure, readings: readingsAt(slot, finding, phase) }))
      .filter(({ readings }) => readings.length > 0)
  );
}

/** An extra that nothing judges, beside what the point is really judged by, says nothing of the grade. */
function withoutAsides(point: CataloguePoint, measure: MeasureCode, reasons: Reason[]): Reason[] {
  const aside = point.measures.some((slot) => slot.measure === measure && slot.need === 'extra');
  const judgedOtherwise = point.vocabulary !== null || mainSlot(point) !== null;
  return reasons.filter(
    (reason) => !(aside && judgedOtherwise && reason.rule === 'no-limit' && reason.why === 'no-row'),
  );
}

/** What is wanted and was not read. */
function gaps(point: CataloguePoint, finding: Finding, { rules }: GradingContext, phase: Phase | undefined): Reason[] {
  const wanted = point.measures.filter(
    ({ need, measure }) => need === 'each' || (need === 'extra' && rules.template.asks.includes(measure)),
  );
  const each = wanted.flatMap((slot): Reason[] => {
    const spots = slot.spots.filter((spot) => !readingAt(finding, slot.measure, spot, phase));
    return spots.length > 0 ? [{ rule: 'reading-missing', grade: 'not-seen', measures: [slot.measure], spots }] : [];
  });
  const ones = point.measures.filter(({ need }) => need === 'one');
  const none = ones.length > 0 && ones.every((slot) => readingsAt(slot, finding, phase).length === 0);
  const measures = ones.map(({ measure }) => measure);
  return none ? [...each, { rule: 'reading-missing', grade: 'not-seen', measures, spots: ['whole'] }] : each;
}

function measureReasons(
  ref: PointRef,
  finding: Finding,
  measure: Reading['measure'],
  readings: readonly Reading[],
  context: GradingContext,
  phase: Phase | undefined,
): Reason[] {
  const scope: LimitScope = {
    vehicle: context.vehicle,
    house: context.rules.house,
    at: context.inspection.startedAt,
  };
  const rows = rowsFor(context.rules.sheet, measure, ref.point, ref.place, scope);
  if (rows.length === 0) return [{ rule: 'no-limit', grade: 'recorded', measure, why: 'no-row' }];
  return rows.flatMap((row) =>
    compared(row, ref, finding, readings, context, phase).flatMap((one) => judgeCompared(row, one, context)),
  );
}

/** The likeliest of a point's wear readings to be under its fail limit before the next visit, from the house's chance on. */
function aheadReasons(
  ref: PointRef,
  used: readonly { readonly measure: MeasureCode; readonly readings: readonly Reading[] }[],
  { inspection, lookAhead, rules }: GradingContext,
): Reason[] {
  const ahead = inspection.ahead ? aheadOnRecord(inspection.ahead) : lookAhead;
  if (!ahead) return [];
  const notes = used
    .filter(({ measure }) => MEASURES[measure].nature === 'wear')
    .flatMap(({ readings }) => readings.filter(({ bound }) => bound === 'exact'))
    .flatMap((reading) => ahead(ref, reading) ?? [])
    .filter(({ chance, value, limit }) => chance >= rules.house.lookAhead && value >= limit)
    .sort((a, b) => b.chance - a.chance);
  return notes.slice(0, 1).map(({ point: _point, place: _place, ...note }) => ({
    rule: 'ahead',
    grade: 'advisory',
    basis: 'house',
    ...note,
  }));
}

function judgeCompared(row: LimitRow, one: Compared, { rules }: GradingContext): Reason[] {
  if (one.status === 'not-judged') return [{ rule: 'no-limit', grade: 'recorded', measure: row.measure, why: one.why }];
  const { spot, value, bound, pressure } = one;
  const base = { rule: 'limit', kind: row.kind, measure: row.measure, spot, value, bound } as const;
  if (bound !== 'exact') {
    const { crossed, undecided } = judgeBound(value, bound, row.thresholds);
    const open: Reason[] = undecided
      ? [{ rule: 'undecided', grade: 'recorded', measure: row.measure, spot, value, bound, threshold: undecided }]
      : [];
    // What is surely crossed is told; that it may be worse than that is told beside it.
    if (crossed) {
      const worse = crossed.grade === 'advisory' && undecided?.grade === 'fail' ? open : [];
      return [{ ...base, grade: crossed.grade, threshold: crossed, closeCall: false }, ...worse];
    }
    const byBars = row.measure === 'tread' && rules.house.treadAs === 'bars' && undecided?.grade === 'advisory';
    const [edge] = row.thresholds;
    if (undecided && !byBars) return open;
    const nearest = row.thresholds.find(({ grade }) => grade === 'fail') ?? edge;
    return nearest ? [{ ...base, grade: 'pass', threshold: nearest, closeCall: false }] : [];
  }
  const judgement = judgeValue(value, row.thresholds, one.u, rules.house.nearLimit === 'guarded');
  if (!judgement || (one.onlyWhenBad && judgement.grade === 'pass')) return [];
  return [{ ...base, ...judgement, ...(one.nearFloor ? { closeCall: true } : {}), ...(pressure ? { pressure } : {}) }];
}

/** Springs and dampers of an axle work together: what one side shows is told at the other too. */
function pairReasons(point: CataloguePoint, ref: PointRef, context: GradingContext): Reason[] {
  if (!point.paired) return [];
  const place = oppositePlace(ref.place);
  const other = context.standing.get(pointKey(ref.point, place));
  if (!other || place === ref.place) return [];
  const isWorn = observationReasons(point, other, context, undefined).some(({ grade }) => isWrong(grade));
  return isWorn ? [{ rule: 'pair', grade: 'pass' }] : [];
}

function observationReasons(
  point: CataloguePoint,
  finding: Finding,
  { rules, standing }: GradingContext,
  phase: Phase | undefined,
): Reason[] {
  const { sheet, house } = rules;
  const readAgain = point.code === 'cabin.codes' ? standing.get('close.codes') : undefined;
  return [
    ...finding.leaks.map((leak) => gradeLeak(leak, sheet, house)),
    ...finding.words.map((word): Reason => {
      const grade = point.vocabulary ? wordGrade(sheet, point.vocabulary, word) : 'advisory';
      const glitter = asksOfGlitter(finding.point, [word]) ? oneOf(GLITTER, word) : undefined;
      return glitter ? gradeGlitter(glitter, finding.words, grade) : { rule: 'word', grade, word, basis: 'house' };
    }),
    ...finding.counts.map(({ item, good: now, of, found, out }): Reason => {
      const good = phase === 'found' ? (found ?? now) : now;
      const short =
        item === 'all'
          ? sheet.countFails.some((code) => code === point.code)
            ? 'fail'
            : 'advisory'
          : sheet.lamps[item];
      return {
        rule: 'count',
        grade: good < of ? short : 'pass',
        item,
        good,
        of,
        // Put right one of two, nobody knows which of them is left.
        ...(out.length > 0 && out.length === of - good ? { out } : {}),
        basis: item === 'all' ? 'house' : 'law',
      };
    }),
    ...finding.codes.map(({ code, state }): Reason => {
      // Only what comes back after clearing stands.
      const gone = readAgain?.access === 'seen' && !readAgain.codes.some((one) => one.code === code);
      return { rule: 'code', grade: gone ? 'recorded' : sheet.codes[state], code, state, gone, basis: 'house' };
    }),
  ];
}
