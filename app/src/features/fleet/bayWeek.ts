import { addDays } from 'date-fns/addDays';
import { startOfDay } from 'date-fns/startOfDay';
import { dueFrom, type AtVehicle } from '../yard/today';

/** A day of the bay: who comes, and how long it takes. */
export interface BayDay {
  readonly day: Date;
  readonly vehicles: readonly AtVehicle[];
  readonly minutes: number;
}

const DAYS = 7;

/** The last moment of the bay's week, seven days from now, ISO 8601. @param now ISO 8601 */
export const endOfBayWeek = (now: string): string => addDays(startOfDay(new Date(now)), DAYS).toISOString();

/**
 * What falls due in the seven days from today, by day; what is over already is apart: it comes before any day.
 *
 * @param now ISO 8601
 */
export function bayWeek(
  due: readonly AtVehicle[],
  now: string,
): { readonly late: readonly AtVehicle[]; readonly days: readonly BayDay[] } {
  const today = startOfDay(new Date(now));
  const on = (one: AtVehicle) => (dueFrom(one) === '' ? null : startOfDay(new Date(dueFrom(one))));
  return {
    late: due.filter((one) => (on(one) ?? new Date(0)) < today),
    days: Array.from({ length: DAYS }, (_, index) => addDays(today, index)).map((day) => {
      const vehicles = due.filter((one) => on(one)?.getTime() === day.getTime());
      return { day, vehicles, minutes: vehicles.reduce((sum, { minutes }) => sum + minutes, 0) };
    }),
  };
}
