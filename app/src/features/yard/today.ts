import type { Life, Visit, YardEntry } from '@weskopos/contract';
import {
  countedVisits,
  lifeStanding,
  openEnds,
  verdictOfVisit,
  waitsOf,
  remainingS,
  type Vehicle,
} from '@weskopos/core';
import type { FleetKnowledge, LifeStanding, LooseEnd, Rules, Wait } from '@weskopos/core';
import { stickerOf } from '@weskopos/core/jobs/stickerOf';
import type { VehicleBoard } from '@weskopos/core/outlook';
import { meterStand, toDo, type ToDo } from '@weskopos/core/today';
import { perLife } from '../../sync/perLife';

/** What today's board is told with. */
export interface TodayGiven {
  readonly rulesOfVisit: (inspection: Visit['inspection']) => Rules;
  readonly today: Rules;
  readonly fleet: FleetKnowledge;
  /** ISO 8601. */
  readonly now: string;
  /** What falls due until then is told, ISO 8601. */
  readonly until: string;
  /** When this person last looked, ISO 8601. */
  readonly lookedAt: string;
  readonly person: string;
  /** How long a vehicle's next visit takes, min. */
  readonly minutesOf: (life: Life) => number;
}

/** A visit that is half done. */
export interface OnLift {
  readonly entry: YardEntry;
  readonly visitId: string;
  readonly template: Rules['template'];
  readonly inspector: string;
  readonly seen: number;
  readonly of: number;
  readonly ends: readonly LooseEnd[];
  /** What runs by itself and ends first. */
  readonly wait: Wait | null;
}

/** What stands or falls due at a vehicle that is not on the lift. */
export interface AtVehicle {
  readonly entry: YardEntry;
  readonly list: readonly ToDo[];
  /** It would come again by now if it goes on as it did, ISO 8601; null where it is not its turn. */
  readonly turn: string | null;
  /** What its visit takes, min. */
  readonly minutes: number;
}

/** A vehicle that no longer wears as it did. */
export interface ChangedAt {
  readonly entry: YardEntry;
  readonly changes: VehicleBoard['changes'];
}

/** What another person signed at a vehicle since somebody last looked. */
export interface NewAt extends ChangedAt {
  readonly visit: Visit;
}

export interface Today {
  readonly onLift: readonly OnLift[];
  readonly stopped: readonly AtVehicle[];
  readonly due: readonly AtVehicle[];
  readonly fresh: readonly NewAt[];
  /** Not as before, and told nowhere above. */
  readonly changed: readonly ChangedAt[];
  /** Every vehicle's life was known: what is told nowhere is nowhere. */
  readonly whole: boolean;
}

/** By life: how it stands is summed once, and again when something in it changed. What is signed is told by its own rules. */
const standings = new WeakMap<Life, LifeStanding>();

/** How a life stands, summed once. */
export function standingOf(life: Life, rulesOfVisit: TodayGiven['rulesOfVisit']): LifeStanding {
  const known = standings.get(life);
  if (known) return known;
  const standing = lifeStanding(life, rulesOfVisit);
  standings.set(life, standing);
  return standing;
}

/** Today's board: what is on the lift, what must not be driven, what falls due, and what is new. */
export function todayOf(
  entries: readonly YardEntry[],
  lives: ReadonlyMap<string, Life>,
  boards: ReadonlyMap<string, VehicleBoard>,
  given: TodayGiven,
): Today {
  const onLift = entries.flatMap((entry) => {
    const life = lives.get(entry.vehicle.id);
    const visit = life?.visits.find(({ inspection }) => inspection.id === entry.open?.inspectionId);
    return life && visit ? [liftOf(entry, life.vehicle, visit, given)] : [];
  });
  const waiting = entries.filter(({ open }) => !open);
  const at = waiting.flatMap((entry) => {
    const life = lives.get(entry.vehicle.id);
    return life ? [atVehicle(entry, life, boards.get(entry.vehicle.id), given)] : [];
  });
  const stopped = at.filter(({ list }) => list.some(stops));
  const due = at
    .filter((one) => !stopped.includes(one) && (one.list.some(isDue) || one.turn !== null))
    .sort((a, b) => dueFrom(a).localeCompare(dueFrom(b)));
  const fresh = waiting.flatMap((entry) => {
    const life = lives.get(entry.vehicle.id);
    return life ? (newAt(entry, life, boards.get(entry.vehicle.id), given) ?? []) : [];
  });
  const told = new Set([...stopped, ...fresh].map(({ entry }) => entry));
  const changed = waiting.flatMap((entry) => {
    const changes = boards.get(entry.vehicle.id)?.changes ?? [];
    return changes.length > 0 && !told.has(entry) ? [{ entry, changes }] : [];
  });
  return { onLift, stopped, due, fresh, changed, whole: entries.every(({ vehicle }) => lives.has(vehicle.id)) };
}

/** It should not be driven with it. */
export const stops = (one: ToDo) => one.kind === 'finding' && one.stops;
/** What stands open by itself is told at its vehicle, not as due. */
export const isDue = (one: ToDo) => one.kind !== 'finding';
/** From when on it falls due, ISO 8601: the first of what does; empty where it has no day, as with bolts. */
export const dueFrom = ({ list, turn }: AtVehicle): string => {
  const first = list.find(isDue);
  const at = first?.kind === 'job' ? first.when.at : first?.kind === 'runs-out' ? first.from : first ? '' : '9';
  return turn !== null && turn < at ? turn : at;
};

function liftOf(entry: YardEntry, vehicle: Vehicle, visit: Visit, { rulesOfVisit, now }: TodayGiven): OnLift {
  const rules = rulesOfVisit(visit.inspection);
  const { points } = verdictOfVisit(vehicle, visit, rules);
  const running = waitsOf(visit.acts)
    .filter(({ done }) => !done)
    .sort((a, b) => remainingS(a, Date.parse(now)) - remainingS(b, Date.parse(now)));
  return {
    entry,
    visitId: visit.inspection.id,
    template: rules.template,
    inspector: visit.inspector,
    seen: points.filter(({ result }) => result.grade !== 'not-seen').length,
    of: points.length,
    ends: openEnds(visit.acts),
    wait: running[0] ?? null,
  };
}

function atVehicle(entry: YardEntry, life: Life, board: VehicleBoard | undefined, given: TodayGiven): AtVehicle {
  const { today, fleet, now, until, rulesOfVisit, minutesOf } = given;
  return { entry, ...fallingDue(life, entry.standing, board, today, fleet, now, until, rulesOfVisit, minutesOf) };
}

/** Added up again when the life, its forecasts, the rules or the minute changed. */
const fallingDue = perLife(
  (
    life: Life,
    standing: YardEntry['standing'],
    board: VehicleBoard | undefined,
    today: Rules,
    fleet: FleetKnowledge,
    now: string,
    until: string,
    rulesOfVisit: TodayGiven['rulesOfVisit'],
    minutesOf: TodayGiven['minutesOf'],
  ): Omit<AtVehicle, 'entry'> => {
    const { vehicle, visits, entries } = life;
    const list = toDo(
      {
        points: (standing?.counts.fail ?? 0) > 0 ? standingOf(life, rulesOfVisit).points : [],
        dues: stickerOf(vehicle, countedVisits(visits), entries, today.house).dues,
        boltsAgain: standing?.boltsAgain ?? null,
        parts: board?.parts ?? [],
        stand: meterStand(vehicle, visits, entries, fleet.use, now),
      },
      now,
      until,
    );
    const turn = board?.nextVisit ?? null;
    return { list, turn: turn !== null && turn <= until ? turn : null, minutes: minutesOf(life) };
  },
);

function newAt(
  entry: YardEntry,
  { visits }: Life,
  board: VehicleBoard | undefined,
  { lookedAt, person }: TodayGiven,
): NewAt | null {
  const visit = visits.findLast(
    ({ inspection, inspector, signedBy }) =>
      inspection.signedAt !== null && inspection.signedAt > lookedAt && (signedBy ?? inspector) !== person,
  );
  return visit ? { entry, visit, changes: board?.changes ?? [] } : null;
}
