import { JOB_CODES, jobKey, type DashCode, type Job, type MeterUnit, type SpecSheet } from '@weskopos/core';
import type { JobDone } from '@weskopos/core/jobs/jobsOf';
import { dash as say } from './en/pages/dash';
import { day, jobWords, meterWords } from './show';

/** Jobs a code's meaning names, by their words: those of the spec sheet first, then those everybody has. */
export function jobsMeant({ means }: DashCode, { intervals }: Pick<SpecSheet, 'intervals'>): Job[] {
  const all: Job[] = [
    ...intervals.map(({ job }) => job),
    ...JOB_CODES.filter((code) => code !== 'own').map((code): Job => ({ code, name: '' })),
  ];
  const said = means.toLowerCase();
  const named = all.filter((job) => said.includes(jobWords(job).toLowerCase()));
  return [...new Map(named.map((job) => [job.code === 'own' ? jobKey(job) : job.code, job])).values()];
}

/** When a job was done last, beside where the vehicle stands: `Axle oil: done 3 Nov 2026, 3 000 km ago`. */
export function jobBeside(job: Job, done: JobDone | undefined, meter: number | null, unit: MeterUnit): string {
  if (!done) return say.unknown(jobWords(job));
  const gone = meter === null || done.meter === null ? null : meter - done.meter;
  return say.done(jobWords(job), day(done.at), gone === null || gone < 0 ? '' : meterWords(Math.round(gone), unit));
}
