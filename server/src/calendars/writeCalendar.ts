import { jobKey, type Vehicle } from '@weskopos/core';
import type { NextDue } from '@weskopos/core/jobs/stickerOf';
import type { Work } from '@weskopos/core/works/worksOf';
import { calendar as say } from '@weskopos/words/en/pages/calendar';
import { dueWords } from '@weskopos/words/dueWords';
import { capital, jobWords, workTime } from '@weskopos/words/show';
import { reasonWords, taskWords } from '@weskopos/words/workWords';
import ical, { ICalCalendarMethod, ICalEventTransparency } from 'ical-generator';

/** A day of a calendar: works that are planned for it at one vehicle, or something that falls due. */
export type CalendarDay =
  | {
      readonly kind: 'works';
      readonly vehicle: Vehicle;
      /** ISO date. */ readonly on: string;
      readonly works: readonly Work[];
    }
  | { readonly kind: 'due'; readonly vehicle: Vehicle; /** ISO date. */ readonly on: string; readonly due: NextDue };

/**
 * A calendar as iCalendar (RFC 5545): each day whole, without a time. An event keeps its name from one reading to the next, so
 * that a program that reads it again moves it instead of adding it.
 *
 * @param name what the calendar is called
 * @param now when it is written
 */
export function writeCalendar(name: string, days: readonly CalendarDay[], now: Date): string {
  const calendar = ical({
    name,
    prodId: { company: 'Weskopos', product: 'Weskopos', language: 'EN' },
    method: ICalCalendarMethod.PUBLISH,
    ttl: 60 * 60,
  });
  for (const day of days) {
    const { vehicle, on } = day;
    calendar.createEvent({
      id: `${day.kind === 'works' ? `works-${on}` : `due-${jobKey(day.due.job).replace(/\W+/g, '-')}`}-${vehicle.id}@weskopos`,
      stamp: now,
      start: new Date(`${on}T00:00:00`),
      allDay: true,
      summary: summaryOf(day),
      description: descriptionOf(day),
      // What falls due takes nobody's time by itself.
      transparency: day.kind === 'works' ? ICalEventTransparency.OPAQUE : ICalEventTransparency.TRANSPARENT,
    });
  }
  return calendar.toString();
}

function summaryOf(day: CalendarDay): string {
  const { fleetCode } = day.vehicle;
  if (day.kind === 'due') return say.due(fleetCode, capital(jobWords(day.due.job)));
  return say.works(fleetCode, day.works.map(({ task }) => taskWords(task, day.vehicle)).join(', '));
}

function descriptionOf(day: CalendarDay): string {
  if (day.kind === 'due') return dueWords(day.due, day.vehicle.meterUnit);
  const minutes = day.works.reduce((sum, work) => sum + (work.minutes ?? 0), 0);
  const told = day.works.map(({ task, reasons, note }) =>
    [taskWords(task, day.vehicle), reasonWords(reasons, day.vehicle), note].filter(Boolean).join('. '),
  );
  return [...told, minutes > 0 ? workTime(minutes) : ''].filter(Boolean).join('\n');
}
