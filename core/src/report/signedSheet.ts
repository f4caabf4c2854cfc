import equal from 'fast-deep-equal';
import { pointKey } from '../catalogue/catalogue';
import type { Template } from '../catalogue/templates';
import { gradedPoints, rollUp, verdictFor, type GradedPoint, type Verdict } from '../grading/verdict';
import type { PointGrade } from '../grading/reason';
import type { HouseRules } from '../house/houseRules';
import { standingOf } from '../inspection/currentFindings';
import type { LookAhead } from '../inspection/aheadNote';
import type { Finding } from '../inspection/finding';
import type { VisitRecord } from '../inspection/visitRecord';
import type { LimitSheet } from '../limits/limitSheet';
import type { Rules } from '../rules/rulebook';
import type { RunOut } from '../trends/runOut';
import type { Vehicle } from '../vehicle/vehicle';
import type { StillOpen } from './vehicleStanding';

/** Rules as a report names them: enough to say by what was graded, not to grade anew. */
export interface NamedRules {
  readonly version: number;
  readonly sheet: Pick<LimitSheet, 'code' | 'version'>;
  readonly template: Pick<Template, 'code' | 'name'>;
  readonly house: HouseRules;
}

/** A grade with what goes without saying left out: a sound point is `{grade: 'pass'}`. */
export type BriefGrade = Pick<PointGrade, 'grade'> & Partial<PointGrade>;

/** A point of a signed visit as it was graded then. */
export interface SignedPoint extends Omit<GradedPoint, 'key' | 'finding' | 'result'> {
  readonly result: BriefGrade;
}

/** Where wear ends and when, without the readings it was told from. */
export interface ToldRunOut extends Omit<RunOut, 'series'> {
  readonly series: Pick<RunOut['series'], 'key' | 'point' | 'place' | 'spot' | 'measure'>;
}

/** What a visit was signed with, kept as it was: no later vehicle sheet, rule, catalogue or program changes it. */
export interface SignedSheet {
  readonly vehicle: Vehicle;
  readonly rules: NamedRules;
  readonly points: readonly SignedPoint[];
  readonly runOut: readonly ToldRunOut[];
  /** What earlier visits had left open, and this one did not settle. */
  readonly stillOpen: readonly StillOpen[];
}

/** An entry made after signing: who reads the visit sees what was signed, what it says now, and why. */
export interface Amendment {
  readonly id: string;
  readonly inspectionId: string;
  readonly at: string;
  readonly why: string;
  /** The entry it added. */
  readonly findingId: string;
  /** The points whose grade came out otherwise by it, as they are told from then on; null until the workshop has answered. */
  readonly points: readonly SignedPoint[] | null;
}

/** A visit with what it was signed with, where it is signed and the workshop has answered. */
export interface JudgedRecord extends VisitRecord {
  readonly sheet?: SignedSheet | null;
  readonly amendments?: readonly Amendment[];
}

/** What goes without saying of a grade. */
function usual({ grade, computed = grade }: BriefGrade): PointGrade {
  const reasons: PointGrade['reasons'] =
    computed === 'pass' ? [SOUND] : computed === 'not-seen' ? [NOT_LOOKED_AT] : NO_REASONS;
  return { ...PLAIN, grade, computed, asFound: computed, reasons };
}
const SOUND = { rule: 'sound', grade: 'pass' } as const;
const NOT_LOOKED_AT = { rule: 'not-looked-at', grade: 'not-seen' } as const;
const NO_REASONS: PointGrade['reasons'] = [];
const PLAIN = { override: null, failsLaw: false, watch: false, corrected: false, closeCall: false, carried: null };

/** A grade without what goes without saying; {@link wholeGrade} brings it back. */
export function briefGrade(whole: PointGrade): BriefGrade {
  const { grade, ...rest } = whole;
  const told: BriefGrade = whole.computed === grade ? { grade } : { grade, computed: whole.computed };
  const expected: Readonly<Record<string, unknown>> = { ...usual(told) };
  return {
    ...told,
    ...Object.fromEntries(Object.entries(rest).filter(([name, value]) => !equal(value, expected[name]))),
  };
}

/** The grade that was told in brief. */
export function wholeGrade(brief: BriefGrade): PointGrade {
  return { ...usual(brief), ...brief };
}

/** Graded points as they are kept. */
export function signedPoints(points: readonly GradedPoint[]): SignedPoint[] {
  return points.map(({ point, place, station, stop, result }) => ({
    point,
    place,
    station,
    stop,
    result: briefGrade(result),
  }));
}

/** Rules as a report names them. */
export function namedRules({ version, sheet, template, house }: Rules): NamedRules {
  return {
    version,
    sheet: { code: sheet.code, version: sheet.version },
    template: { code: template.code, name: template.name },
    house,
  };
}

/** A forecast without the readings it was made of. */
export function toldRunOut({ series, ...told }: RunOut): ToldRunOut {
  const { key, point, place, spot, measure } = series;
  return { series: { key, point, place, spot, measure }, ...told };
}

function gradedFrom(points: readonly SignedPoint[], findings: readonly Finding[]): GradedPoint[] {
  const standing = standingOf(findings);
  return points.map(({ result, ...ref }) => {
    const key = pointKey(ref.point, ref.place);
    return { ...ref, key, finding: standing.get(key), result: wholeGrade(result) };
  });
}

/** What a visit came to when it was signed, its amendments left out. */
export function verdictAsSigned({ findings, amendments = [] }: JudgedRecord, sheet: SignedSheet): Verdict {
  const later = new Set(amendments.map(({ findingId }) => findingId));
  return rollUp(
    gradedFrom(
      sheet.points,
      findings.filter(({ id }) => !later.has(id)),
    ),
  );
}

/** The points of a signed visit with its amendments laid over them, oldest first. */
function amendedPoints(visit: JudgedRecord, sheet: SignedSheet, rules: Rules): readonly SignedPoint[] {
  const inOrder = [...(visit.amendments ?? [])].sort(
    (a, b) => Date.parse(a.at) - Date.parse(b.at) || a.id.localeCompare(b.id),
  );
  const later = new Map(
    inOrder
      .flatMap((one) => one.points ?? pointsWaiting(visit, sheet, one, rules))
      .map((one) => [pointKey(one.point, one.place), one] as const),
  );
  return sheet.points.map((one) => later.get(pointKey(one.point, one.place)) ?? one);
}

/** What an amendment that waits for its answer changes, as the workshop will tell it. */
function pointsWaiting(
  { inspection, findings }: VisitRecord,
  sheet: SignedSheet,
  { findingId }: Amendment,
  rules: Rules,
): SignedPoint[] {
  const at = findings.findIndex(({ id }) => id === findingId);
  const finding = findings[at];
  return finding ? pointsAmended({ inspection, findings: findings.slice(0, at) }, sheet, finding, rules) : [];
}

/**
 * What a visit comes to. A signed one is told from what it was signed with and its amendments, an open one is graded by
 * the rules it was begun under; so is one that was signed on this device and waits for the workshop's answer.
 */
export function verdictOfVisit(vehicle: Vehicle, visit: JudgedRecord, rules: Rules, lookAhead?: LookAhead): Verdict {
  const { sheet, findings, inspection } = visit;
  if (!sheet) return verdictFor(vehicle, inspection, findings, rules, lookAhead);
  return rollUp(gradedFrom(amendedPoints(visit, sheet, rules), findings));
}

/**
 * The points a later entry grades otherwise, by the vehicle as it was signed. Nothing else of the visit is judged anew: what
 * the entry does not touch stays as it was, whatever program or rules came since.
 */
export function pointsAmended(
  { inspection, findings }: VisitRecord,
  { vehicle }: SignedSheet,
  finding: Finding,
  rules: Rules,
): SignedPoint[] {
  const graded = (all: readonly Finding[]) => gradedPoints({ vehicle, inspection, rules, standing: standingOf(all) });
  const before = new Map(graded(findings).map(({ key, result }) => [key, result]));
  return signedPoints(graded([...findings, finding]).filter(({ key, result }) => !equal(before.get(key), result)));
}
