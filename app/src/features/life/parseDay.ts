import { isValid } from 'date-fns/isValid';
import { parse } from 'date-fns/parse';

/** How a day is written down; of a month or a year alone its first day, so that nothing is told younger than it is. */
const WRITTEN = ['d.M.yyyy', 'd/M/yyyy', 'yyyy-MM-dd', 'd.MMM.yyyy', 'M/yyyy', 'M.yyyy', 'yyyy-MM', 'MMM.yyyy', 'yyyy'];
/** A day has no hour: noon is nearest to any of them. */
const NOON = 12;

/** What was typed for a day. */
export type TypedDay =
  | { readonly status: 'empty' }
  | { readonly status: 'unreadable' }
  | { readonly status: 'future' }
  /** Before `from`. */
  | { readonly status: 'too-early' }
  | { readonly status: 'day'; readonly at: string };

/**
 * Reads a day as people write it.
 *
 * @param now ISO instant; a day after it is refused, today's is now
 * @param fromYear a day before that year is refused
 */
export function parseDay(text: string, now: string, fromYear: number): TypedDay {
  // `14 Mar 2023` is `14.Mar.2023`.
  const typed = text.trim().replace(/\s+/g, '.');
  if (typed === '') return { status: 'empty' };
  const today = new Date(now);
  for (const written of WRITTEN) {
    const day = parse(typed, written, new Date(today.getFullYear(), 0, 1));
    if (!isValid(day) || day.getFullYear() < 1900) continue;
    if (day.getFullYear() < fromYear) return { status: 'too-early' };
    day.setHours(NOON);
    if (day.toDateString() === today.toDateString()) return { status: 'day', at: now };
    return day > today ? { status: 'future' } : { status: 'day', at: day.toISOString() };
  }
  return { status: 'unreadable' };
}
