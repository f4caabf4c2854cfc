import type { Looked, StandingSummary } from '@weskopos/core';
import { visit as say } from './en/pages/visit';
import { day } from './show';

/** What of a vehicle is unsettled, or that nothing is. */
export function standingCounts({ counts }: Pick<StandingSummary, 'counts'>): string {
  const open = [counts.fail > 0 ? say.fail(counts.fail) : '', counts.advisory > 0 ? say.advisory(counts.advisory) : ''];
  return open.filter(Boolean).join(' · ') || say.nothingOpen;
}

/** How much the last visit looked at, and when. */
export function lookedWords({ seen, of, at }: Looked): string {
  return say.looked(seen, of, day(at));
}
