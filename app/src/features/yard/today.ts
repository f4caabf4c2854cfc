import type { YardEntry } from '@weskopos/contract';
import { remainingS, type FleetKnowledge, type Wait } from '@weskopos/core';
import type { VehicleBoard } from '@weskopos/core/outlook';
import { meterStand, toDo, type ToDo } from '@weskopos/core/today';
import type { Brief, HalfDone, Signature, WorkInBrief } from '../../sync/brief';
import { perObject } from '../../sync/perObject';

/** What today's board is told with. */
export interface TodayGiven {
  readonly fleet: FleetKnowledge;
  /** ISO 8601. */
  readonly now: string;
  /** What falls due until then is told, ISO 8601. */
  readonly until: string;
  /** When this person last looked, ISO 8601. */
  readonly lookedAt: string;
  readonly person: string;
}

/** A vehicle on the lift. */
export interface OnLift extends HalfDone {
  readonly entry: YardEntry;
  /** What runs by itself and ends first. */
  readonly wait: Wait | null;
}

/** What stands or falls due at a vehicle that is not on the lift. */
export interface AtVehicle {
  readonly entry: YardEntry;
  readonly list: readonly ToDo[];
  /** It would come again by now if it goes on as it did, ISO 8601; null where it is not its turn. */
  readonly turn: string | null;
  /** Works that are planned for a day until then. */
  readonly planned: readonly WorkInBrief[];
  /** What its visit and its planned works take, min. */
  readonly minutes: number;
}

/** What a keeper answered since somebody last looked. */
export interface AnsweredAt {
  readonly entry: YardEntry;
  readonly works: readonly WorkInBrief[];
}

/** A vehicle that no longer wears as it did. */
export interface ChangedAt {
  readonly entry: YardEntry;
  readonly changes: VehicleBoard['changes'];
}

/** What another person signed at a vehicle since somebody last looked. */
export interface NewAt extends ChangedAt {
  readonly signature: Signature;
}

export interface Today {
  readonly onLift: readonly OnLift[];
  readonly stopped: readonly AtVehicle[];
  readonly answered: readonly AnsweredAt[];
  readonly due: readonly AtVehicle[];
  readonly fresh: readonly NewAt[];
  /** Not as before, and told nowhere above. */
  readonly changed: readonly ChangedAt[];
  /** Every vehicle's life was known: what is told nowhere is nowhere. */
  readonly whole: boolean;
}

/** Today's board: what is on the lift, what must not be driven, what falls due, and what is new. */
export function todayOf(
  entries: readonly YardEntry[],
  briefs: ReadonlyMap<string, Brief>,
  boards: ReadonlyMap<string, VehicleBoard>,
  given: TodayGiven,
): Today {
  const known = entries.flatMap((entry) => briefs.get(entry.vehicle.id) ?? []);
  const onLift = known.flatMap((brief) => (brief.halfDone ? [liftOf(brief, brief.halfDone, given)] : []));
  const waiting = known.filter(({ open }) => !open);
  const at = waiting.map((brief) => atVehicle(brief, boards.get(brief.vehicle.id), given));
  const stopped = at.filter(({ list }) => list.some(stops));
  const due = at
    .filter((one) => !stopped.includes(one) && (one.list.some(isDue) || one.turn !== null || one.planned.length > 0))
    .sort((a, b) => dueFrom(a).localeCompare(dueFrom(b)));
  const fresh = waiting.flatMap((brief) => newAt(brief, boards.get(brief.vehicle.id), given) ?? []);
  const answered = known.flatMap((entry) => {
    const works = entry.works.filter((work) => work.answered && work.saidAt > given.lookedAt);
    return works.length > 0 ? [{ entry, works }] : [];
  });
  const told = new Set([...stopped, ...fresh].map(({ entry }) => entry));
  const changed = waiting.flatMap((entry) => {
    const changes = boards.get(entry.vehicle.id)?.changes ?? [];
    return changes.length > 0 && !told.has(entry) ? [{ entry, changes }] : [];
  });
  return { onLift, stopped, answered, due, fresh, changed, whole: known.length === entries.length };
}

/** It should not be driven with it. */
export const stops = (one: ToDo) => one.kind === 'finding' && one.stops;
/** What stands open by itself is told at its vehicle, not as due. */
export const isDue = (one: ToDo) => one.kind !== 'finding';
/** The day something falls due, ISO 8601; null where it has none. */
const dueAt = (one: ToDo): string | null =>
  one.kind === 'job' ? one.when.at : one.kind === 'runs-out' ? one.from : null;
/**
 * From when on it falls due, ISO 8601: the day it is planned for; else the first of what does, empty where that has no day,
 * as with bolts.
 */
export const dueFrom = ({ list, turn, planned }: AtVehicle): string => {
  const [day] = planned.flatMap(({ plannedOn }) => plannedOn ?? []).sort();
  if (day !== undefined) return day;
  const first = list.find(isDue);
  const at = first ? (dueAt(first) ?? '') : '9';
  return turn !== null && turn < at ? turn : at;
};

function liftOf(entry: YardEntry, halfDone: HalfDone, { now }: TodayGiven): OnLift {
  const [first] = [...halfDone.waits].sort((a, b) => remainingS(a, Date.parse(now)) - remainingS(b, Date.parse(now)));
  return { ...halfDone, entry, wait: first ?? null };
}

function atVehicle(brief: Brief, board: VehicleBoard | undefined, { fleet, now, until }: TodayGiven): AtVehicle {
  const turn = board?.nextVisit ?? null;
  const planned = brief.works.filter(({ plannedOn }) => plannedOn !== null && plannedOn <= until);
  const atWork = planned.reduce((sum, { minutes }) => sum + (minutes ?? 0), 0);
  return {
    entry: brief,
    list: everToDo(brief, board, fleet, hourOf(now)).filter((one) => (dueAt(one) ?? '') <= until),
    turn: turn !== null && turn <= until ? turn : null,
    planned,
    minutes: brief.minutes + atWork,
  };
}

/** Nothing falls due by the minute: what was summed up for an hour need not be summed up again in it. */
const hourOf = (iso: string) => `${iso.slice(0, 13)}:00:00.000Z`;
/** No day comes after it: what is told for a week or for a day is told from one sum. */
const EVER = '9999-12-31T00:00:00.000Z';

/** Added up again when the vehicle, its forecasts or the hour changed. */
const everToDo = perObject(
  (brief: Brief, board: VehicleBoard | undefined, fleet: FleetKnowledge, now: string): readonly ToDo[] => {
    const { vehicle, wrong, dues, standing, meters } = brief;
    return toDo(
      {
        points: wrong,
        dues,
        boltsAgain: standing?.boltsAgain ?? null,
        parts: board?.parts ?? [],
        stand: meterStand(vehicle, meters, fleet.use, now),
      },
      now,
      EVER,
    );
  },
);

function newAt(brief: Brief, board: VehicleBoard | undefined, { lookedAt, person }: TodayGiven): NewAt | null {
  const signature = brief.signatures.findLast(({ signedAt, by }) => signedAt > lookedAt && by !== person);
  return signature ? { entry: brief, signature, changes: board?.changes ?? [] } : null;
}
