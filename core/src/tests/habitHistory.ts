import type { HabitLook, HabitPart, HabitSpot, HabitVehicle } from '../simulator/habits/habitWorld';
import { METER_STEP } from '../trends/partHistory';
import { inHalfYear } from '../trends/halfYear';
import { travelledByVisit } from '../trends/travelled';
import { readTogether } from '../wear/acrossPlaces';
import { BY_HOURS, priorFor, type FleetRates, type PartHistory } from '../wear/fleetRates';
import { firstCrossing, partCrossing } from '../wear/partBelief';
import type { RateChange, WatchedSpot } from '../wear/rateChange';

/** What a workshop takes a reading to repeat to, beside half its gauge's step; and what new parts differ by. */
const REPEATS: Readonly<Record<HabitPart['kind'], { readonly u: number; readonly fresh: number }>> = {
  tread: { u: 0.15, fresh: 0.3 },
  pad: { u: 0.25, fresh: 0.35 },
};
const DAY_MS = 86_400_000;
/** Where each kind is read across. */
export const SPOTS: Readonly<Record<HabitPart['kind'], readonly HabitSpot[]>> = {
  tread: ['outer', 'centre', 'inner'],
  pad: ['whole'],
};
const travelled = new WeakMap<HabitVehicle, ReadonlyMap<string, number>>();

/** How far a vehicle had come at a visit's day by what its meters said, in steps of wear. */
export function travelledAt(vehicle: HabitVehicle, day: number): number {
  const known =
    travelled.get(vehicle) ??
    travelledByVisit(
      vehicle.visits.map((visit) => ({ ...visit, id: `${visit.day}`, at: new Date(visit.day * DAY_MS).toISOString() })),
    );
  travelled.set(vehicle, known);
  return (known.get(`${day}`) ?? 0) / METER_STEP[vehicle.meterUnit];
}

/** What a look at a part was at, on the road: where it came from, or where it went to. */
export const axleOfLook = ({ place, after }: Pick<HabitLook, 'place' | 'after'>): string =>
  (after === 'kept' ? place : after).slice(0, 1);

/** A part's readings at one spot up to a day, as the wear model takes them. */
export function historyOf(vehicle: HabitVehicle, part: HabitPart, spot: HabitSpot, day: number): PartHistory | null {
  const repeats = REPEATS[part.kind];
  const readings = part.looks
    .filter((look) => look.day <= day)
    .flatMap(({ day: at, step, repeats: told, readings: ones }) =>
      ones
        .filter((one) => one.spot === spot)
        .map(({ value, bound }) => ({
          x: travelledAt(vehicle, at),
          y: value,
          u: told ?? Math.hypot(step / Math.sqrt(12), repeats.u),
          bound,
        })),
    );
  const last = part.looks.findLast((look) => look.day <= day);
  if (readings.length === 0 || !last) return null;
  const kind = `${part.kind === 'pad' ? 'lining' : part.kind}${vehicle.meterUnit === 'h' ? BY_HOURS : ''}`;
  const axle = `${kind} ${axleOfLook(last)}`;
  return {
    id: `${part.id} ${spot}`,
    vehicle: vehicle.id,
    kind,
    axle,
    cell: `${axle} ${vehicle.class} ${vehicle.use}`,
    fitted:
      part.nominal === null
        ? null
        : { x: travelledAt(vehicle, part.fittedDay), fresh: part.nominal, sigma: repeats.fresh },
    readings,
    ...(part.kind === 'tread' ? { before: satBefore(vehicle, part, kind, day), ...setsOf(vehicle, day) } : {}),
  };
}

/** Where a vehicle's two sets of tyres were changed for each other; nothing for one that has one set. */
function setsOf(vehicle: HabitVehicle, day: number): Pick<PartHistory, 'sets'> {
  const days = vehicle.parts.flatMap(({ looks }) =>
    looks.filter(({ after }) => after === 'kept').map((look) => look.day),
  );
  if (days.length === 0) return {};
  const until = [...new Set(days)].filter((at) => at <= day).sort((a, b) => a - b);
  const seen = vehicle.visits.filter((visit) => visit.day <= day);
  const [from = day, to = day] = [seen[0]?.day, seen.at(-1)?.day];
  const halfYear = inHalfYear(travelledAt(vehicle, to) - travelledAt(vehicle, from), to - from);
  return { sets: { changes: until.map((at) => travelledAt(vehicle, at)), halfYear } };
}

/** Where a part sat before it came to where it is: it is moved at the end of a visit, and that is on record with it. */
function satBefore(
  vehicle: HabitVehicle,
  { looks }: HabitPart,
  kind: string,
  day: number,
): NonNullable<PartHistory['before']> {
  return looks
    .filter((look) => look.day <= day && look.after !== look.place)
    .map(({ place, day: at }) => ({
      axle: place === 'kept' ? null : `${kind} ${place.slice(0, 1)}`,
      until: travelledAt(vehicle, at),
    }));
}

/** Every place across every part that was looked at on a day and stays on the road, with the part. */
export function watchedOn(vehicle: HabitVehicle, day: number): (WatchedSpot & { readonly part: HabitPart })[] {
  return vehicle.parts.flatMap((part) => {
    const place = part.looks.find((one) => one.day === day)?.after ?? 'kept';
    if (place === 'kept') return [];
    return SPOTS[part.kind].flatMap((spot) => {
      const history = historyOf(vehicle, part, spot, day);
      return history ? [{ part, place, history }] : [];
    });
  });
}

/** When the first place across a part meets the limit, as forecasts are shown: from its worst place and the others. */
export function firstCrossingOf(
  vehicle: HabitVehicle,
  part: HabitPart,
  worst: PartHistory,
  day: number,
  rates: FleetRates,
  perhaps?: RateChange['perhaps'],
) {
  const all = SPOTS[part.kind].flatMap((spot) => historyOf(vehicle, part, spot, day) ?? []);
  const others = (of: PartHistory) => all.filter(({ id }) => id !== of.id);
  return firstCrossing(
    [worst, ...others(worst)].map((one) =>
      partCrossing(rates, readTogether(one, others(one), priorFor(rates, one).handU), part.limit, {
        perhaps: perhaps?.get(one.id),
      }),
    ),
  );
}

/** The spot that stands lowest now, as forecasts are shown by it. */
export function worstOf(vehicle: HabitVehicle, part: HabitPart, day: number): PartHistory | null {
  const all = SPOTS[part.kind].flatMap((spot) => historyOf(vehicle, part, spot, day) ?? []);
  const low = ({ readings }: PartHistory) => readings.findLast(({ bound }) => bound === 'exact')?.y ?? Infinity;
  return all.length === 0 ? null : all.reduce((a, b) => (low(b) < low(a) ? b : a));
}
