import { CHANGE_JOBS, type ChangeJob, type HouseRules } from '../house/houseRules';
import { oneOf } from '../sums/keyed';
import type { JobCode } from '../vehicle/jobs';
import type { SpecInterval } from '../vehicle/specSheet';

/** What the intervals of a house lean on. */
export type IntervalHouse = Pick<HouseRules, 'fluidChange' | 'changeCaps'>;

const changeJob = (code: JobCode): ChangeJob | undefined => oneOf(CHANGE_JOBS, code);

/**
 * The interval of a job by the house's school: the maker's; the earlier of it and the house's cap, each measure by itself;
 * none for a fluid or filter that this house changes on its condition alone. Jobs that renew no fluid keep the maker's.
 */
export function intervalBy(interval: SpecInterval, house: IntervalHouse): SpecInterval | null {
  const code = changeJob(interval.job.code);
  if (code && house.fluidChange === 'condition') return null;
  const cap = code && house.fluidChange === 'earlier' ? house.changeCaps[code] : undefined;
  if (!cap) return interval;
  const { job, km, months, hours } = interval;
  return { job, km: earlier(km, cap.km), months: earlier(months, cap.months), hours: earlier(hours, cap.hours) };
}

/** The house's caps for jobs the spec sheet has no interval for. */
export function capsBeside(intervals: readonly SpecInterval[], house: IntervalHouse): SpecInterval[] {
  if (house.fluidChange !== 'earlier') return [];
  return CHANGE_JOBS.flatMap((code) =>
    house.changeCaps[code] && !intervals.some(({ job }) => job.code === code)
      ? [{ job: { code, name: '' }, km: null, months: null, hours: null }]
      : [],
  );
}

function earlier(maker: number | null, cap: number | null): number | null {
  if (maker === null || cap === null) return maker ?? cap;
  return Math.min(maker, cap);
}
