import { formatISO } from 'date-fns/formatISO';
import { monthsAfter } from '../calculators/due';
import { entriesOf, standingEntries, type LifeEntry } from '../parts/lifeEntry';
import { looseEnds } from '../acts/looseEnds';
import type { Act } from '../acts/act';
import type { EndKind } from '../acts/endKinds';
import type { Inspection } from '../inspection/inspection';
import type { HouseRules } from '../house/houseRules';
import { jobKey, type Job, type JobCode } from '../vehicle/jobs';
import type { Vehicle } from '../vehicle/vehicle';

/** What falls due next, counted from when it was last done. */
export interface NextDue {
  readonly job: Job;
  /** When it was last done; null where nobody has written it down: then nothing can be counted from it. */
  readonly doneAt: string | null;
  /** On the vehicle's meter; null where only time counts. */
  readonly meter: number | null;
  /** ISO date; null where only the meter counts. */
  readonly by: string | null;
}

/** What goes on the windscreen after a visit. */
export interface Sticker {
  readonly dues: readonly NextDue[];
  /** Wheel bolts are torqued again between these two readings of the odometer, km; null where no wheel was off. */
  readonly boltsAgain: { readonly fromKm: number; readonly toKm: number } | null;
}

/** Wheel bolts settle on the first kilometres. */
const BOLTS_AGAIN_KM = { from: 50, to: 100 } as const;

/** Closing these is the job itself. The service indicator is not among them: resetting it does nothing to the oil. */
const DONE_BY_CLOSING: Readonly<Partial<Record<EndKind, JobCode>>> = { 'oil-fill': 'engine-oil' };

/** When a job was last done: in the acts of this visit, or as it was written down. Null where neither tells. */
function lastDone(
  job: Job,
  { meter, startedAt }: Pick<Inspection, 'meter' | 'startedAt'>,
  acts: readonly Act[],
  entries: readonly LifeEntry[],
): { readonly meter: number | null; readonly at: string } | null {
  const doneHere = looseEnds(acts).some(
    ({ opened, closed }) => closed !== null && DONE_BY_CLOSING[opened.end] === job.code,
  );
  if (doneHere) return { meter, at: startedAt };
  const told = entriesOf(standingEntries(entries), 'job').findLast((entry) => jobKey(entry.job) === jobKey(job));
  return told ? { meter: told.meter, at: told.at } : null;
}

/** What goes on the windscreen after a visit: each job's next limit, shortened for hard use where the house does, and the bolts. */
export function stickerOf(
  { spec, meterUnit }: Pick<Vehicle, 'spec' | 'meterUnit'>,
  { meter, startedAt }: Pick<Inspection, 'meter' | 'startedAt'>,
  acts: readonly Act[],
  house: Pick<HouseRules, 'hardUse' | 'hardUseFactor'>,
  entries: readonly LifeEntry[] = [],
): Sticker {
  const factor = spec.hardUse && house.hardUse === 'shortened' ? house.hardUseFactor : 1;
  const dues = spec.intervals.flatMap(({ job, km, hours, months }): NextDue[] => {
    const limit = meterUnit === 'h' ? hours : km;
    if (limit === null && months === null) return [];
    const done = lastDone(job, { meter, startedAt }, acts, entries);
    if (!done) return [{ job, doneAt: null, meter: null, by: null }];
    const due: NextDue = {
      job,
      doneAt: done.at,
      meter: limit === null || done.meter === null ? null : Math.round(done.meter + limit * factor),
      by:
        months === null ? null : formatISO(monthsAfter(new Date(done.at), months * factor), { representation: 'date' }),
    };
    return due.meter === null && due.by === null ? [] : [due];
  });
  const wheelOff = looseEnds(acts).some(({ opened }) => opened.end === 'wheel');
  return {
    dues: dues.sort(
      (a, b) => (a.by ?? '9').localeCompare(b.by ?? '9') || (a.meter ?? Infinity) - (b.meter ?? Infinity),
    ),
    boltsAgain:
      wheelOff && meterUnit === 'km' ? { fromKm: meter + BOLTS_AGAIN_KM.from, toKm: meter + BOLTS_AGAIN_KM.to } : null,
  };
}
