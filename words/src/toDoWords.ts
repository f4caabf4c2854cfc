import type { Grade, Vehicle } from '@weskopos/core';
import type { ToDo } from '@weskopos/core/today';
import { differenceInCalendarDays } from 'date-fns/differenceInCalendarDays';
import { differenceInMonths } from 'date-fns/differenceInMonths';
import { sheet as say } from './en/pages/sheet';
import { words } from './en';
import { figuresOf } from './figuresOf';
import { amount, capital, dateWords, day, jobWords, meterWords, pointShort } from './show';
import { gradeSentence } from './reasonSentence';

/** Something to be done in words: its name, the figure beside it, why, and how it is marked. */
export interface ToDoWords {
  readonly key: string;
  readonly name: string;
  readonly figure: string;
  readonly why: string;
  readonly grade: Grade;
}

/** `4 months over`, `today`, `in 12 days`. Both ISO 8601. */
export function dueIn(at: string, now: string): string {
  const [date, here] = [new Date(at.slice(0, 10)), new Date(now.slice(0, 10))];
  if (date.getTime() === here.getTime()) return say.today;
  const [days, months] = [differenceInCalendarDays(date, here), differenceInMonths(date, here)].map(Math.abs);
  const time = say.time(days ?? 0, months ?? 0);
  return date < here ? say.over(time) : say.dueIn(time);
}

/** More than this does not fit beside a name. */
const SHORT = 10;
/** What was read, where it is one figure; a longer tale is told in the line of why. */
const shortFigure = (text: string) => (text !== '' && text.length <= SHORT ? text : null);

/** @param now ISO 8601 */
export function toDoWords(one: ToDo, vehicle: Vehicle, now: string): ToDoWords {
  const unit = vehicle.meterUnit;
  switch (one.kind) {
    case 'finding': {
      const { graded, at } = one.found;
      return {
        key: graded.key,
        name: capital(pointShort(graded.point, graded.place, vehicle)),
        figure: shortFigure(figuresOf(graded)) ?? words.grade[graded.result.grade],
        why: `${words.grade[graded.result.grade]}. ${gradeSentence(graded.result)} ${capital(say.since(day(at)))}.`.trim(),
        grade: graded.result.grade,
      };
    }
    case 'bolts': {
      const { fromKm, toKm } = one.again;
      return {
        key: 'bolts',
        name: say.bolts,
        figure: one.late ? say.boltsLate : say.now,
        why: say.between(meterWords(fromKm, 'km'), meterWords(toKm, 'km')),
        grade: one.late ? 'fail' : 'advisory',
      };
    }
    case 'job': {
      const { due, when, late } = one;
      const why = [
        when.by === 'meter' && due.meter !== null ? say.atMeter(meterWords(due.meter, unit)) : day(when.at),
        due.doneAt === null ? '' : say.lastDone(day(due.doneAt)),
        due.capped ? say.capped : '',
      ];
      return {
        key: `job ${due.job.code} ${due.job.name}`,
        name: capital(jobWords(due.job)),
        figure: dueIn(when.at, now),
        why: why.filter(Boolean).join(' · '),
        grade: late ? 'advisory' : 'recorded',
      };
    }
    case 'runs-out': {
      const { key, point, place, spot, measure, value, limit, status } = one.part;
      const past = status === 'reached' || one.from <= now;
      const at = `${amount(measure, limit)} (${words.basis[one.part.basis]})`;
      return {
        key,
        name: capital(`${pointShort(point, place, vehicle)} ${words.spot[spot]}`.trim()),
        figure: past ? say.now : say.from(dateWords(new Date(one.from), 'dayAndMonth')),
        why: `${capital(say.reads(amount(measure, value)))}, ${status === 'reached' ? say.isAt(at) : say.mayBeAt(at)}.`,
        grade: status === 'reached' ? 'fail' : 'advisory',
      };
    }
  }
}
