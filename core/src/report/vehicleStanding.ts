import { pointKey, type PointCode } from '../catalogue/catalogue';
import { quantityKey, quantityOf } from '../catalogue/quantities';
import { GRADES, worstGrade, type Grade } from '../grading/grade';
import type { GradedPoint, Verdict } from '../grading/verdict';
import type { Inspection } from '../inspection/inspection';
import type { PointRef } from '../inspection/pointRef';
import type { JobDone } from '../jobs/jobsOf';
import type { LifeEntry, PartKind } from '../parts/lifeEntry';
import { threadParts, type PartBook } from '../parts/threadParts';
import { isPlace } from '../vehicle/place';
import type { Place } from '../vehicle/vehicle';
import { JOB_CODES, type JobCode } from '../vehicle/jobs';
import { POINTS_OF_JOB, partFoundAt } from './settledBy';

/** A visit with what it came to. */
export interface JudgedVisit {
  readonly inspection: Pick<Inspection, 'id' | 'startedAt' | 'meter'>;
  readonly verdict: Pick<Verdict, 'points'>;
}

/** How one quantity of a vehicle stands: by the last look that told something and that nothing has settled since. */
export interface StandingPoint {
  readonly graded: GradedPoint;
  readonly inspectionId: string;
  /** When it was looked at, ISO 8601. */
  readonly at: string;
}

/** What an earlier look left open. */
export interface StillOpen extends PointRef {
  readonly grade: Grade;
  readonly at: string;
  readonly inspectionId: string;
}

/** How much a visit looked at. */
export interface Looked {
  readonly inspectionId: string;
  readonly at: string;
  readonly seen: number;
  readonly of: number;
}

/** How a vehicle stands over all its visits, not as its last one came out. */
export interface VehicleStanding {
  /** The worst of what stands; `not-seen` where nothing does. */
  readonly grade: Grade;
  readonly counts: Readonly<Record<'fail' | 'advisory' | 'pass', number>>;
  /** Every quantity that stands, as it was last told. */
  readonly points: readonly StandingPoint[];
  /** What the last visit looked at; null before the first. */
  readonly last: Looked | null;
}

const TELLS: readonly Grade[] = ['pass', 'advisory', 'fail'];
const JOBS_FOR = new Map<PointCode, JobCode[]>();
for (const code of JOB_CODES)
  for (const point of POINTS_OF_JOB[code] ?? []) JOBS_FOR.set(point, [...(JOBS_FOR.get(point) ?? []), code]);

/** What a look is a look at: the part that sat there then, else the quantity at that place. */
function subjectOf({ point, place }: GradedPoint, at: string, book: PartBook): string {
  const part = partFoundAt(point);
  return part ? `${point} of ${book.partAt(part, place, at).id}` : quantityKey(point, place);
}

/** Where the part that was looked at sits now; null where it is gone. */
function placeNow(part: PartKind, place: Place, at: string, book: PartBook): Place | null {
  const { removedAt, places } = book.partAt(part, place, at);
  const now = places.at(-1)?.place ?? place;
  return removedAt === null && isPlace(now) ? now : null;
}

/**
 * How a vehicle stands: for each quantity the last look that told something, over all visits, unless the part is gone or a
 * job was done since. A short visit hides nothing it did not look at; what was only carried, read out of condition or not
 * judged settles nothing.
 *
 * @param visits signed ones that were not voided, oldest first
 */
export function vehicleStanding(
  visits: readonly JudgedVisit[],
  jobs: readonly JobDone[],
  entries: readonly LifeEntry[],
): VehicleStanding {
  const book = threadParts(entries);
  const latest = new Map<string, StandingPoint>();
  for (const { inspection, verdict } of visits)
    for (const graded of verdict.points) {
      const { grade, carried } = graded.result;
      if (!TELLS.includes(grade) || carried !== null) continue;
      const at = graded.finding?.at ?? inspection.startedAt;
      latest.set(subjectOf(graded, at, book), { graded, inspectionId: inspection.id, at });
    }
  const points = [...latest.values()].flatMap((one) => standsNow(one, jobs, book) ?? []);
  const count = (wanted: Grade) => points.filter(({ graded }) => graded.result.grade === wanted).length;
  return {
    grade: worstGrade(points.map(({ graded }) => graded.result.grade)),
    counts: { fail: count('fail'), advisory: count('advisory'), pass: count('pass') },
    points,
    last: lookedAt(visits.at(-1)),
  };
}

/** The point where it is now; null where it is settled. */
function standsNow(one: StandingPoint, jobs: readonly JobDone[], book: PartBook): StandingPoint | null {
  const { graded, at } = one;
  const codes = JOBS_FOR.get(quantityOf(graded.point));
  const settled = jobs.some(
    ({ job, at: doneAt, place }) =>
      codes?.includes(job.code) &&
      Date.parse(doneAt) > Date.parse(at) &&
      (place === '' || graded.place === '' || place === graded.place),
  );
  if (settled) return null;
  const part = partFoundAt(graded.point);
  if (!part) return one;
  const place = placeNow(part, graded.place, at, book);
  if (place === null) return null;
  return place === graded.place ? one : { ...one, graded: { ...graded, place, key: pointKey(graded.point, place) } };
}

function lookedAt(visit: JudgedVisit | undefined): Looked | null {
  if (!visit) return null;
  const { points } = visit.verdict;
  const seen = points.filter(({ result }) => result.grade !== 'not-seen').length;
  return { inspectionId: visit.inspection.id, at: visit.inspection.startedAt, seen, of: points.length };
}

/** Of what stands, what other visits than this one left open: a short visit never hides what a long one found. Worst first. */
export function leftOpenBy({ points }: Pick<VehicleStanding, 'points'>, inspectionId: string): StillOpen[] {
  const open = points.filter((one) => one.inspectionId !== inspectionId && one.graded.result.grade !== 'pass');
  return open
    .map(({ graded: { point, place, result }, at, inspectionId: by }) => ({
      point,
      place,
      grade: result.grade,
      at,
      inspectionId: by,
    }))
    .sort((a, b) => GRADES.indexOf(b.grade) - GRADES.indexOf(a.grade) || a.at.localeCompare(b.at));
}
