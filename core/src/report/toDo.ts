import { addDays } from 'date-fns/addDays';
import { quantityKey } from '../catalogue/quantities';
import { isWrong } from '../grading/grade';
import type { BoltsAgain } from '../jobs/boltsAgain';
import { FARTHEST_DAYS, dueWhen, type DueWhen, type MeterStand } from '../jobs/dueWhen';
import type { NextDue } from '../jobs/stickerOf';
import { notToDrive } from './notToDrive';
import type { StandingPoint } from './vehicleStanding';
import type { BoardPart } from '../outlook/vehicleBoard';

/** Something to be done at a vehicle, with when and by what. */
export type ToDo =
  | {
      readonly kind: 'finding';
      readonly found: StandingPoint;
      /** It should not be driven with it. */
      readonly stops: boolean;
    }
  | {
      readonly kind: 'bolts';
      readonly again: BoltsAgain;
      /** The vehicle has gone past where they should have been torqued again. */
      readonly late: boolean;
    }
  | { readonly kind: 'job'; readonly due: NextDue; readonly when: DueWhen; readonly late: boolean }
  | {
      readonly kind: 'runs-out';
      readonly part: BoardPart;
      /** From when on it may be at its limit (1 in 10), ISO 8601. */
      readonly from: string;
    };

/** What is known of a vehicle that something may have to be done at. */
export interface ToDoGiven {
  readonly points: readonly StandingPoint[];
  readonly dues: readonly NextDue[];
  readonly boltsAgain: BoltsAgain | null;
  readonly parts: readonly BoardPart[];
  readonly stand: MeterStand | null;
}

const RANK: readonly ((one: ToDo) => boolean)[] = [
  (one) => one.kind === 'finding' && one.stops,
  (one) => one.kind === 'bolts',
  (one) => one.kind === 'finding' && one.found.graded.result.grade === 'fail',
  (one) => one.kind === 'job' && one.late,
  (one) => one.kind === 'runs-out',
  (one) => one.kind === 'finding',
  () => true,
];

const whenOf = (one: ToDo): string =>
  one.kind === 'job' ? one.when.at : one.kind === 'runs-out' ? one.from : one.kind === 'finding' ? one.found.at : '';

/**
 * What is to be done, most urgent first: what stands open, what is due by a day, what may run out by then. What was found
 * wrong already is not told once more as running out.
 *
 * @param now ISO 8601
 * @param until ISO 8601; what falls due later is left out
 */
export function toDo({ points, dues, boltsAgain, parts, stand }: ToDoGiven, now: string, until: string): ToDo[] {
  const wrong = points.filter(({ graded }) => isWrong(graded.result.grade));
  const stopping = new Set(notToDrive(wrong.map(({ graded }) => graded)));
  const told = new Set(wrong.map(({ graded: { point, place } }) => quantityKey(point, place)));
  const all: ToDo[] = [
    ...wrong.map((found) => ({ kind: 'finding', found, stops: stopping.has(found.graded) }) as const),
    ...(boltsAgain
      ? [{ kind: 'bolts', again: boltsAgain, late: stand !== null && stand.meter > boltsAgain.toKm } as const]
      : []),
    ...dues.flatMap((due) => {
      const when = dueWhen(due, stand, now);
      if (!when || Date.parse(when.at) > Date.parse(until)) return [];
      return [{ kind: 'job', due, when, late: Date.parse(when.at) < Date.parse(now) } as const];
    }),
    ...parts.flatMap((part) => {
      if (told.has(quantityKey(part.point, part.place)) || part.status === 'far-off') return [];
      const days = part.status === 'reached' ? 0 : part.days?.low;
      if (days === undefined) return [];
      const from = addDays(new Date(part.at), Math.min(days, FARTHEST_DAYS)).toISOString();
      return Date.parse(from) <= Date.parse(until) ? [{ kind: 'runs-out', part, from } as const] : [];
    }),
  ];
  const rank = (one: ToDo) => RANK.findIndex((of) => of(one));
  return all.sort((a, b) => rank(a) - rank(b) || whenOf(a).localeCompare(whenOf(b)));
}
