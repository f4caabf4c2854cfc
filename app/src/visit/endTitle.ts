import type { LooseEnd } from '@weskopos/core';
import { words } from '@weskopos/words/en';
import { placeWords, type Seats } from '@weskopos/words/show';

/** What is open and where, as it is headed and listed. */
export function endTitle({ opened }: Pick<LooseEnd, 'opened'>, seats: Seats): string {
  return [words.end[opened.end], placeWords(opened.place, seats)].filter(Boolean).join(', ');
}
