import { looseEnds } from '../acts/looseEnds';
import type { Act, ActOf } from '../acts/act';
import { FILLED_THROUGH, type EndKind } from '../acts/endKinds';
import type { Inspection } from '../inspection/inspection';
import { isChangeOfSets } from '../parts/tyreSets';
import { standingEntries, type LifeEntry, type PartKind } from '../parts/lifeEntry';
import { entryOf } from '../sums/keyed';
import { jobKey, type Job, type JobCode } from '../vehicle/jobs';
import type { Place } from '../vehicle/vehicle';

/** A job that was done, wherever it is told: the one list that due dates, ages, sticker and board count from. */
export interface JobDone {
  readonly job: Job;
  readonly at: string;
  /** In the vehicle's meter unit; null where nobody read it. */
  readonly meter: number | null;
  /** On which wheel or axle; empty for the vehicle as a whole. */
  readonly place: Place;
  /** What went in, L; null where it is not told. */
  readonly litres: number | null;
  /** The act of a visit, or the entry, that tells it. */
  readonly toldBy: { readonly kind: 'visit' | 'entry'; readonly id: string };
}

/** A visit as far as jobs are concerned. */
export interface WorkedVisit {
  readonly inspection: Pick<Inspection, 'id' | 'meter' | 'startedAt'>;
  readonly acts: readonly Act[];
}

/**
 * Closing these is the job itself. The service indicator is not among them: setting it back does nothing to the oil; nor
 * is a cap that was lifted to look.
 */
const DONE_BY_CLOSING: Readonly<Partial<Record<EndKind, JobCode>>> = {
  'oil-fill': 'engine-oil',
  'oil-filter': 'oil-filter',
  'coolant-drain': 'coolant',
  'fuel-filter': 'fuel-filter',
};

/** Drained here and filled again through its own plug: the job is done when both are closed. */
const DONE_BY_DRAINING: Readonly<Record<keyof typeof FILLED_THROUGH, JobCode>> = {
  'axle-plug': 'axle-oil',
  'gearbox-plug': 'gearbox-oil',
  'transfer-plug': 'transfer-oil',
};

/** Fitting these is the job of renewing them; pads, shoes and discs have no interval. */
const DONE_BY_FITTING: Readonly<Partial<Record<PartKind, JobCode>>> = { battery: 'battery', tyre: 'tyres' };

const coded = (code: JobCode): Job => ({ code, name: '' });

function jobsOfVisit({ inspection, acts }: WorkedVisit): JobDone[] {
  const ends = looseEnds(acts);
  return ends.flatMap(({ opened, filledL, closed }): JobDone[] => {
    if (!closed) return [];
    const done = (code: JobCode, { id, at, proof }: ActOf<'close'>): JobDone => {
      const litres = proof.litres ?? (filledL > 0 ? filledL : null);
      const toldBy = { kind: 'visit', id } as const;
      return { job: coded(code), at, meter: inspection.meter, place: opened.place, litres, toldBy };
    };
    const code = entryOf<JobCode>(DONE_BY_CLOSING, opened.end);
    if (code) return [done(code, closed)];
    const drained = entryOf<JobCode>(DONE_BY_DRAINING, opened.end);
    const through = entryOf<EndKind>(FILLED_THROUGH, opened.end);
    const filled = ends.findLast((one) => one.opened.end === through && one.opened.place === opened.place)?.closed;
    return drained && filled ? [done(drained, filled)] : [];
  });
}

function jobOfEntry(entry: LifeEntry): JobDone[] {
  const { id, at, meter } = entry;
  const told = { at, meter, place: '', litres: null, toldBy: { kind: 'entry', id } } as const;
  switch (entry.kind) {
    case 'job':
      return [{ ...told, job: entry.job, place: entry.place, litres: entry.litres }];
    case 'rotate':
      return isChangeOfSets(entry.moves) ? [] : [{ ...told, job: coded('rotation') }];
    case 'fit': {
      const code = entryOf<JobCode>(DONE_BY_FITTING, entry.what);
      return code ? [{ ...told, job: coded(code), place: entry.place }] : [];
    }
    default:
      return [];
  }
}

/** Every job of a vehicle's life, oldest first, whoever told it and however late; what was taken back is not among them. */
export function jobsOf(visits: readonly WorkedVisit[], entries: readonly LifeEntry[]): JobDone[] {
  return [...visits.flatMap(jobsOfVisit), ...standingEntries(entries).flatMap(jobOfEntry)].sort(
    (a, b) => Date.parse(a.at) - Date.parse(b.at) || a.toldBy.id.localeCompare(b.toldBy.id),
  );
}

/** The last time a job was done; undefined where nobody has told of it: that is not known, and never taken for done. */
export function lastDone(jobs: readonly JobDone[], job: Job): JobDone | undefined {
  return jobs.findLast((one) => jobKey(one.job) === jobKey(job));
}
