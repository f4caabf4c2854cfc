import { entriesOf, standingEntries, type LifeEntry } from '../parts/lifeEntry';
import { jobKey, type Job, type JobCode } from '../vehicle/jobs';
import type { Vehicle } from '../vehicle/vehicle';
import { lastDone, type JobDone } from './jobsOf';

/**
 * What is known of a job's past: when it was done; that it was asked and nobody knows; or that nobody has said anything yet.
 */
export type JobPast =
  | { readonly job: Job; readonly state: 'done'; readonly done: JobDone }
  | { readonly job: Job; readonly state: 'not-known'; readonly at: string; readonly paper: string }
  | { readonly job: Job; readonly state: 'unsaid' };

/** Jobs whose age decides over an engine or the brakes, whatever the spec sheet says of intervals. */
const ALWAYS_ASKED: readonly JobCode[] = ['brake-fluid'];
const ASKED_OF_ENGINES: readonly JobCode[] = ['engine-oil', 'coolant'];

/** Which jobs' pasts a vehicle is asked for: those with an interval, and those that ruin something when they are late. */
export function jobsAsked(vehicle: Pick<Vehicle, 'spec' | 'makeUp'>): Job[] {
  const { spec, makeUp } = vehicle;
  const codes = [
    ...ALWAYS_ASKED,
    ...(makeUp.power === 'electric' ? [] : ASKED_OF_ENGINES),
    ...(makeUp.timingBelt && makeUp.power !== 'electric' ? (['timing-belt'] as const) : []),
  ];
  const asked = new Map(spec.intervals.map(({ job }) => [jobKey(job), job]));
  for (const code of codes) if (!asked.has(code)) asked.set(code, { code, name: '' });
  return [...asked.values()];
}

/** The past of every job a vehicle is asked for. What was done counts, however often it was called unknown. */
export function jobPasts(
  vehicle: Pick<Vehicle, 'spec' | 'makeUp'>,
  jobs: readonly JobDone[],
  entries: readonly LifeEntry[],
): JobPast[] {
  const unknown = entriesOf(standingEntries(entries), 'not-known');
  return jobsAsked(vehicle).map((job): JobPast => {
    const done = lastDone(jobs, job);
    if (done) return { job, state: 'done', done };
    const said = unknown.findLast((entry) => jobKey(entry.job) === jobKey(job));
    return said ? { job, state: 'not-known', at: said.at, paper: said.paper } : { job, state: 'unsaid' };
  });
}
