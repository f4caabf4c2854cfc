import type { Visit, Wording } from '@weskopos/contract';
import type { PriceList, composeReport } from '@weskopos/core';
import type { NextDue } from '@weskopos/core/jobs/stickerOf';
import type { Work } from '@weskopos/core/works/worksOf';

/** What a report on paper is told from. */
export type Report = ReturnType<typeof composeReport>;

/** What a report on paper is made of. */
export interface ReportGiven {
  readonly report: Report;
  readonly visit: Visit;
  /** Signed visits before it. */
  readonly earlier: readonly Visit[];
  /** No visit of the vehicle came later: what is to be done now is told with it. */
  readonly isNewest: boolean;
  /** Works of the vehicle. */
  readonly works: readonly Work[];
  /** What falls due, soonest first. */
  readonly dues: readonly NextDue[];
  readonly wording: Wording;
  /** What the workshop asks; null where it has no list. */
  readonly prices: PriceList | null;
}
