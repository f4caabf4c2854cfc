import type { Life, Visit } from '@weskopos/contract';
import {
  BUILT_IN_FLEET,
  MEASURES,
  carriedFrom,
  currentFindings,
  expectedAt,
  jobAge,
  jobsOf,
  mainSlot,
  cataloguePoint,
  nextFinding,
  partOfPoint,
  pointKey,
  readingAt,
  readingValue,
  renewsPoint,
  seriesKey,
  seriesOf,
  threadParts,
  travelledByVisit,
  wearLine,
  wearWatch,
  type Beside,
  type Finding,
  type GradeOverride,
  type GradingContext,
  type Inspection,
  type JobAge,
  type LookAhead,
  type MeasureCode,
  type Phase,
  type PointRef,
  type Rules,
  type Spot,
  type Vehicle,
} from '@weskopos/core';
import { withReading } from './readings';

/** What was seen of a point at an earlier visit, with that visit. */
export interface Look {
  readonly finding: Finding;
  readonly visit: Visit;
}

/** How a part was fitted. */
export interface Fitted {
  readonly at: string;
  readonly meter: number | null;
  /** Value when fitted, stored unit; null when it was not measured. */
  readonly fresh: number | null;
}

/** What the signed visits before this one tell: made once a visit, not once a touch. */
export interface History {
  /** The last look of a signed visit at a point; of a part that sits there now, wherever it sat then. */
  readonly lastLook: (ref: PointRef) => Look | undefined;
  /** How the part that sits there now was fitted; undefined for one that came with the vehicle, and where no part is followed. */
  readonly fitted: (ref: PointRef) => Fitted | undefined;
  readonly expected: (ref: PointRef, measure: MeasureCode, spot: Spot) => number | null;
  readonly ghost: (ref: PointRef, measure: MeasureCode, spot: Spot) => number | null;
  /** How old what a point looks at is by the job on record; null where none is told, or the point asks for no age. */
  readonly jobAge: (ref: PointRef) => JobAge | null;
  /** Whether a job has renewed what a point reads since it was looked at last. */
  readonly renewedSince: (ref: PointRef) => boolean;
  /** The earlier look that may stand in for today's. */
  readonly carriable: (ref: PointRef) => Look | undefined;
}

/** What stands behind today's reading: the rules, what was found today, and what came before. */
export interface Background {
  readonly grading: GradingContext;
  readonly history: History;
  /** A grade by hand that a later look let lapse; left out where nothing is told of earlier entries. */
  readonly lapsed?: (ref: PointRef) => GradeOverride | null;
}

/** What earlier visits tell about the points of this one. */
export function historyOf(
  vehicle: Vehicle,
  inspection: Inspection,
  earlier: readonly Visit[],
  rules: Rules,
  { entries = [], fleet = BUILT_IN_FLEET }: Beside = {},
): History {
  const looks = earlier.map((one) => ({ visit: one, standing: currentFindings(one.findings).standing }));
  const visits = [...earlier.map((visit) => visit.inspection), inspection];
  const today = travelledByVisit(visits.map((one) => ({ ...one, at: one.startedAt }))).get(inspection.id) ?? 0;
  const series = new Map(seriesOf(earlier, entries, { vehicle, house: rules.house }).map((one) => [one.key, one]));
  // Asked for by the first point that wears: not every visit gets there.
  const watched = () => ({ perhaps: wearWatch(vehicle, [...series.values()], fleet)?.perhaps });
  let watch: ReturnType<typeof watched> | null = null;
  const book = threadParts(entries);
  const jobs = jobsOf(earlier, entries);
  const partHere = ({ point, place }: PointRef) => {
    const what = partOfPoint(point);
    return what ? book.partNow(what, place) : null;
  };
  const told = ({ access }: Finding) => access !== 'open' && access !== 'not-reached';
  const lastLook = (ref: PointRef): Look | undefined => {
    const part = partHere(ref);
    for (const { visit, standing } of [...looks].reverse()) {
      // A part brings its looks along from wherever it sat; a new one has none.
      const finding = part
        ? [...standing.values()].find(
            (one) =>
              one.point === ref.point &&
              told(one) &&
              book.partAt(part.what, one.place, visit.inspection.startedAt).id === part.id,
          )
        : standing.get(pointKey(ref.point, ref.place));
      if (finding && told(finding)) return { finding, visit };
    }
    return undefined;
  };
  const fitted = (ref: PointRef): Fitted | undefined => {
    const part = partHere(ref);
    return part?.fittedAt ? { at: part.fittedAt, meter: part.fittedMeter, fresh: part.fresh } : undefined;
  };
  return {
    lastLook,
    expected: (ref, measure, spot) => {
      const one =
        MEASURES[measure].nature === 'wear' ? series.get(seriesKey(ref.point, ref.place, spot, measure)) : undefined;
      const line = one && wearLine(one, { vehicle, fleet, perhaps: (watch ??= watched()).perhaps });
      return line ? Math.max(0, expectedAt(line, today).y) : null;
    },
    fitted,
    jobAge: ({ point }) => jobAge(point, jobs, { at: inspection.startedAt, meter: inspection.meter }),
    ghost: (ref, measure, spot) => {
      const look = lastLook(ref);
      const reading = readingAt(look?.finding, measure, spot);
      // A bound says on which side the truth lies: no figure to draw.
      if (look) return reading?.bound === 'exact' ? readingValue(reading) : null;
      return mainSlot(cataloguePoint(ref.point))?.measure === measure ? (fitted(ref)?.fresh ?? null) : null;
    },
    renewedSince: (ref) => {
      const seen = lastLook(ref)?.visit.inspection.startedAt;
      return (
        seen !== undefined &&
        jobs.some(({ job, at }) => renewsPoint(job.code, ref.point) && Date.parse(at) > Date.parse(seen))
      );
    },
    carriable: (ref) => {
      const look = lastLook(ref);
      const before = look && { finding: look.finding, inspection: look.visit.inspection };
      return look && carriedFrom(before, rules.template, inspection, rules.house) ? look : undefined;
    },
  };
}

/** What a visit is graded by; `lookAhead` for one not signed yet. */
export function gradingOf(
  { vehicle }: Life,
  { inspection, findings }: Visit,
  rules: Rules,
  lookAhead?: LookAhead,
): GradingContext {
  return { vehicle, inspection, rules, standing: currentFindings(findings).standing, lookAhead };
}

/** What last visit saw, of the other pad where there is one. */
export function partnerOf(ref: PointRef, { grading }: Background): Finding | undefined {
  if (ref.point !== 'pad.inner' && ref.point !== 'pad.outer') return undefined;
  return grading.standing.get(pointKey(ref.point === 'pad.inner' ? 'pad.outer' : 'pad.inner', ref.place));
}

/** A reading under the finger, not yet let go. */
export interface Draft {
  readonly key: string;
  readonly measure: MeasureCode;
  readonly spot: Spot;
  readonly phase: Phase;
  readonly value: number;
}

/** The grading context as it would be with the value under the finger. */
export function withDraft(grading: GradingContext, ref: PointRef, draft: Omit<Draft, 'key'> | null): GradingContext {
  const key = pointKey(ref.point, ref.place);
  if (!draft) return grading;
  const { measure, spot, phase, value } = draft;
  const standing = grading.standing.get(key);
  const before = readingAt(standing, measure, spot, phase);
  if (before && readingValue(before) === value) return grading;
  const drafted = nextFinding(
    standing,
    { inspectionId: '', ...ref },
    { id: 'draft', at: '' },
    { access: 'seen', readings: withReading(standing?.readings ?? [], { measure, spot, phase }, value) },
  );
  return { ...grading, standing: new Map(grading.standing).set(key, drafted) };
}

/** Whether a reading of a point is put right on the spot and read again: levels, pressures, torques. */
export function canPutRight(ref: PointRef): boolean {
  const measure = mainSlot(cataloguePoint(ref.point))?.measure;
  return measure === 'level' || measure === 'pressure' || measure === 'torque' || measure === 'glycol';
}
