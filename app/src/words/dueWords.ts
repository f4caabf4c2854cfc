import type { MeterUnit } from '@weskopos/core';
import type { NextDue } from '@weskopos/core/desk';
import { day, jobWords, meterWords } from './show';

/** When a job falls due next, or that nobody wrote down when it was done last. */
export function dueWords({ job, doneAt, meter, by }: NextDue, unit: MeterUnit): string {
  const name = jobWords(job);
  if (doneAt === null) return `${name}: last time not on record`;
  const limits = [meter === null ? '' : meterWords(meter, unit), by === null ? '' : day(by)].filter(Boolean);
  return `Next ${name}: ${limits.join(' or ')}`;
}
