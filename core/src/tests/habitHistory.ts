import type { HabitPart, HabitSpot, HabitVehicle } from '../simulator/habits/habitWorld';
import type { FleetRates, PartHistory } from '../wear/fleetRates';
import { firstCrossing, partBelief, partCrossing } from '../wear/partBelief';
import type { RateChange, WatchedSpot } from '../wear/rateChange';

/** What a workshop takes a reading to repeat to, beside half its gauge's step; and what new parts differ by. */
const REPEATS: Readonly<Record<HabitPart['kind'], { readonly u: number; readonly fresh: number }>> = {
  tread: { u: 0.15, fresh: 0.3 },
  pad: { u: 0.25, fresh: 0.35 },
};
/** Where each kind is read across. */
export const SPOTS: Readonly<Record<HabitPart['kind'], readonly HabitSpot[]>> = {
  tread: ['outer', 'centre', 'inner'],
  pad: ['whole'],
};
/** A part's readings at one spot up to a day, as the wear model takes them. */
export function historyOf(vehicle: HabitVehicle, part: HabitPart, spot: HabitSpot, day: number): PartHistory | null {
  const repeats = REPEATS[part.kind];
  const readings = part.looks
    .filter((look) => look.day <= day)
    .flatMap(({ km, step, readings: ones }) =>
      ones
        .filter((one) => one.spot === spot)
        .map(({ value, bound }) => ({ x: km / 1000, y: value, u: Math.hypot(step / Math.sqrt(12), repeats.u), bound })),
    );
  const last = part.looks.findLast((look) => look.day <= day);
  if (readings.length === 0 || !last) return null;
  const kind = part.kind === 'pad' ? 'lining' : part.kind;
  const axle = `${kind} ${last.after.slice(0, 1)}`;
  return {
    id: `${part.id} ${spot}`,
    vehicle: vehicle.id,
    kind,
    axle,
    cell: `${axle} ${vehicle.class} ${vehicle.use}`,
    fitted: part.nominal === null ? null : { x: part.fittedKm / 1000, fresh: part.nominal, sigma: repeats.fresh },
    readings,
    ...(kind === 'tread' ? { before: satBefore(part, day) } : {}),
  };
}

/** Where a part sat before it came to where it is: it is moved at the end of a visit, and that is on record with it. */
function satBefore({ looks }: HabitPart, day: number): NonNullable<PartHistory['before']> {
  return looks
    .filter((look) => look.day <= day && look.after !== look.place)
    .map(({ place, km }) => ({ axle: `tread ${place.slice(0, 1)}`, until: km / 1000 }));
}

/** Every place across every part that was looked at on a day, with the part. */
export function watchedOn(vehicle: HabitVehicle, day: number): (WatchedSpot & { readonly part: HabitPart })[] {
  return vehicle.parts.flatMap((part) => {
    const look = part.looks.find((one) => one.day === day);
    return SPOTS[part.kind].flatMap((spot) => {
      const history = look ? historyOf(vehicle, part, spot, day) : null;
      return look && history ? [{ part, place: look.place, history }] : [];
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
  const others = SPOTS[part.kind].flatMap((spot) => historyOf(vehicle, part, spot, day) ?? []);
  return firstCrossing(
    [worst, ...others.filter(({ id }) => id !== worst.id)].map((one) =>
      partCrossing(rates, one, part.limit, partBelief(rates, one, perhaps?.get(one.id))),
    ),
  );
}

/** The spot that stands lowest now, as forecasts are shown by it. */
export function worstOf(vehicle: HabitVehicle, part: HabitPart, day: number): PartHistory | null {
  const all = SPOTS[part.kind].flatMap((spot) => historyOf(vehicle, part, spot, day) ?? []);
  const low = ({ readings }: PartHistory) => readings.findLast(({ bound }) => bound === 'exact')?.y ?? Infinity;
  return all.length === 0 ? null : all.reduce((a, b) => (low(b) < low(a) ? b : a));
}
