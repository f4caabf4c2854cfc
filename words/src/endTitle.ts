import type { LooseEnd } from '@weskopos/core';
import { placeWords, type Seats } from './show';
import { told } from './tongue';

/** What is open and where, as it is headed and listed. */
export function endTitle({ opened }: Pick<LooseEnd, 'opened'>, seats: Seats): string {
  return [told.end[opened.end], placeWords(opened.place, seats)].filter(Boolean).join(', ');
}
