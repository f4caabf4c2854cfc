import type { PointCode } from '../catalogue/catalogue';
import { daysBetween } from '../sums/daysBetween';
import { entryOf } from '../sums/keyed';
import type { JobCode } from '../vehicle/jobs';
import { lastDone, type JobDone } from './jobsOf';

/** Points that ask for an age, with the job it counts from. */
const AGE_OF: Readonly<Partial<Record<PointCode, JobCode>>> = {
  'cabin.filter': 'cabin-filter',
  'cabin.keycell': 'key-cell',
  'cabin.indicator': 'engine-oil',
  'battery.age': 'battery',
  'belt.timing.age': 'timing-belt',
  'filter.air': 'air-filter',
  'filter.fuel.date': 'fuel-filter',
  plugs: 'spark-plugs',
  'plant.cabfilter': 'cabin-filter',
  'plant.aircleaner': 'air-filter',
};

/** Mean length of a month, days. */
const MONTH_DAYS = 365.25 / 12;

/** How old a thing is by its job. */
export interface JobAge {
  readonly done: JobDone;
  /** Whole months since. */
  readonly months: number;
  /** In the meter's unit since; null where the meter was not read then, or has been replaced since. */
  readonly distance: number | null;
}

/**
 * The age that a point asks for, from the job on record rather than typed again.
 *
 * @param now when it is looked at, ISO 8601, and the meter then
 * @returns null for a point that asks for none, and where nobody has told of the job
 */
export function jobAge(
  point: PointCode,
  jobs: readonly JobDone[],
  now: { readonly at: string; readonly meter: number },
): JobAge | null {
  const code = entryOf<JobCode>(AGE_OF, point);
  const done = code && lastDone(jobs, { code, name: '' });
  if (!done || Date.parse(done.at) > Date.parse(now.at)) return null;
  const distance = done.meter === null || done.meter > now.meter ? null : now.meter - done.meter;
  return { done, months: Math.floor(daysBetween(done.at, now.at) / MONTH_DAYS), distance };
}
