import type { MeterUnit } from '@weskopos/core';
import type { NextDue } from '@weskopos/core/src/deskSums';
import { day, meterWords } from './show';

/** When a job falls due next, or that nobody wrote down when it was done last. */
export function dueWords({ job, doneAt, meter, by }: NextDue, unit: MeterUnit): string {
  if (doneAt === null) return `${job}: last time not on record`;
  const limits = [meter === null ? '' : meterWords(meter, unit), by === null ? '' : day(by)].filter(Boolean);
  return `Next ${job}: ${limits.join(' or ')}`;
}
