import { formatISO } from 'date-fns/formatISO';
import { monthsAfter } from '../calculators/due';
import type { HouseRules } from '../house/houseRules';
import type { LifeEntry } from '../parts/lifeEntry';
import type { Job } from '../vehicle/jobs';
import type { SpecInterval } from '../vehicle/specSheet';
import type { Vehicle } from '../vehicle/vehicle';
import { capsBeside, intervalBy, type IntervalHouse } from './intervalBy';
import { boltsAgainOf, type BoltsAgain, type WheeledVisit } from './boltsAgain';
import { jobsOf, lastDone, type JobDone } from './jobsOf';

/** What falls due next, counted from when it was last done. */
export interface NextDue {
  readonly job: Job;
  /** When it was last done; null where nobody has written it down: then nothing can be counted from it. */
  readonly doneAt: string | null;
  /** On the vehicle's meter; null where only time counts. */
  readonly meter: number | null;
  /** ISO date; null where only the meter counts. */
  readonly by: string | null;
  /** Sooner than the maker wants, by the house's cap. */
  readonly capped: boolean;
}

/** What due dates take of the house. */
export type DueHouse = IntervalHouse & Pick<HouseRules, 'hardUse' | 'hardUseFactor'>;

/** What goes on the windscreen after a visit. */
export interface Sticker {
  readonly dues: readonly NextDue[];
  /** Wheel bolts that want their second torque; null where none do. */
  readonly boltsAgain: BoltsAgain | null;
}

/** Each job's next limit by the house's school, shortened for hard use where the house does, soonest first. */
export function duesOf(
  { spec, meterUnit }: Pick<Vehicle, 'spec' | 'meterUnit'>,
  jobs: readonly JobDone[],
  house: DueHouse,
): NextDue[] {
  const factor = spec.hardUse && house.hardUse === 'shortened' ? house.hardUseFactor : 1;
  // A cap alone tells when something on record falls due, not that somebody should know of it.
  const beside = capsBeside(spec.intervals, house).filter(({ job }) => lastDone(jobs, job));
  const dues = [...spec.intervals, ...beside].flatMap((one): NextDue[] => {
    const interval = intervalBy(one, house);
    if (!interval) return [];
    const { job, months } = interval;
    const perMeter = ({ km, hours }: SpecInterval) => (meterUnit === 'h' ? hours : km);
    const limit = perMeter(interval);
    const capped = limit !== perMeter(one) || months !== one.months;
    if (limit === null && months === null) return [];
    const done = lastDone(jobs, job);
    if (!done) return [{ job, doneAt: null, meter: null, by: null, capped }];
    const due: NextDue = {
      job,
      doneAt: done.at,
      meter: limit === null || done.meter === null ? null : Math.round(done.meter + limit * factor),
      by:
        months === null ? null : formatISO(monthsAfter(new Date(done.at), months * factor), { representation: 'date' }),
      capped,
    };
    return due.meter === null && due.by === null ? [] : [due];
  });
  return dues.sort((a, b) => (a.by ?? '9').localeCompare(b.by ?? '9') || (a.meter ?? Infinity) - (b.meter ?? Infinity));
}

/**
 * What goes on the windscreen: counted from the jobs of the whole life, whichever visit prints it.
 *
 * @param visits oldest first, up to the one it is printed after; given up ones left out
 */
export function stickerOf(
  vehicle: Pick<Vehicle, 'spec' | 'meterUnit'>,
  visits: readonly WheeledVisit[],
  entries: readonly LifeEntry[],
  house: DueHouse,
): Sticker {
  const jobs = jobsOf(visits, entries);
  return { dues: duesOf(vehicle, jobs, house), boltsAgain: boltsAgainOf(vehicle, visits, jobs) };
}
