import type { MeterUnit } from '@weskopos/core';
import type { JobPast } from '@weskopos/core/jobs/jobHistory';
import type { NextDue } from '@weskopos/core/jobs/stickerOf';
import { history } from './en/pages/history';
import { day, jobWords, meterWords } from './show';
import { told } from './tongue';

/** When a job falls due next, or that nobody wrote down when it was done last. */
export function dueWords({ job, doneAt, meter, by, capped }: NextDue, unit: MeterUnit): string {
  const name = jobWords(job);
  if (doneAt === null) return told.said.lastUnknown(name);
  const limits = [meter === null ? '' : meterWords(meter, unit), by === null ? '' : day(by)].filter(Boolean);
  return told.said.nextDue(name, limits.join(told.said.or), capped);
}

/** What is known of a job's past. */
export function pastWords(past: JobPast, unit: MeterUnit): string {
  switch (past.state) {
    case 'done': {
      const { at, meter } = past.done;
      return history.done(day(at), meter === null ? '' : `, ${meterWords(meter, unit)}`);
    }
    case 'not-known':
      return history.unknownSince(day(past.at), past.paper);
    case 'unsaid':
      return '';
  }
}
