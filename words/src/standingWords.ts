import type { Looked, StandingSummary } from '@weskopos/core';
import { visit as say } from './en/pages/visit';
import { day, jobWords } from './show';

/** What of a vehicle is unsettled, or that nothing is. */
export function standingCounts({ counts, unknownJobs }: Pick<StandingSummary, 'counts' | 'unknownJobs'>): string {
  const unknown = unknownJobs.map((job) => say.unknownAge(jobWords(job)));
  const open = [counts.fail > 0 ? say.fail(counts.fail) : '', counts.advisory > 0 ? say.advisory(counts.advisory) : ''];
  return [...open, ...unknown].filter(Boolean).join(' · ') || say.nothingOpen;
}

/** How much the last visit looked at, and when. */
export function lookedWords({ seen, of, at }: Looked): string {
  return say.looked(seen, of, day(at));
}
