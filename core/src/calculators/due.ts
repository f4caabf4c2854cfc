import { addDays } from 'date-fns/addDays';
import { addMonths } from 'date-fns/addMonths';
import { differenceInCalendarDays } from 'date-fns/differenceInCalendarDays';
import { formatISO } from 'date-fns/formatISO';
import { parseISO } from 'date-fns/parseISO';

/** When something was done last, and how often it is to be. */
export interface DueQuestion {
  /** Day of the last time, ISO date, and what the meter stood at. */
  readonly lastOn: string;
  readonly lastMeter: number;
  readonly today: string;
  readonly meter: number;
  /** Each limit that holds; null for none. `distance` in the meter's unit. */
  readonly months: number | null;
  readonly distance: number | null;
  /** Share that hard use leaves of each limit, over 0 to 1. */
  readonly factor: number;
  /** This vehicle's own use, meter units a day; null when it is not known. */
  readonly perDay: number | null;
}

/** When it is to be done next, and which of the two limits comes first. */
export interface DueAnswer {
  readonly by: 'months' | 'distance';
  /** ISO date; null for a distance without a known use. */
  readonly on: string | null;
  readonly daysLeft: number | null;
  /** Meter units left to the distance limit. */
  readonly distanceLeft: number | null;
}

/** Calendar months on; a part of a month as days. */
export function monthsAfter(from: Date, months: number): Date {
  const whole = Math.floor(months);
  return addDays(addMonths(from, whole), Math.round((months - whole) * 30.4375));
}

const iso = (date: Date) => formatISO(date, { representation: 'date' });

/**
 * When something falls due: the earliest of its limits, each shortened by the factor; the distance told as a date from
 * this vehicle's own use. Null when no limit holds. Months are calendar months, so the last day of January plus one is
 * the last of February.
 */
export function dueOf(question: DueQuestion): DueAnswer | null {
  const { factor, today, perDay } = question;
  if (!(factor > 0 && factor <= 1)) throw new RangeError('the hard-use factor is over 0 and at most 1');
  const answers: DueAnswer[] = [];
  if (question.months !== null) {
    const on = monthsAfter(parseISO(question.lastOn), question.months * factor);
    answers.push({
      by: 'months',
      on: iso(on),
      daysLeft: differenceInCalendarDays(on, parseISO(today)),
      distanceLeft: null,
    });
  }
  if (question.distance !== null) {
    const distanceLeft = question.lastMeter + question.distance * factor - question.meter;
    const daysLeft = perDay && perDay > 0 ? Math.floor(distanceLeft / perDay) : distanceLeft <= 0 ? 0 : null;
    const on = daysLeft === null ? null : iso(addDays(parseISO(today), daysLeft));
    answers.push({ by: 'distance', on, daysLeft, distanceLeft });
  }
  return answers.sort((a, b) => (a.daysLeft ?? Infinity) - (b.daysLeft ?? Infinity))[0] ?? null;
}
