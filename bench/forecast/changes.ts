import { fleetWorld, type WorldEvent, type WorldPart, type WorldVehicle } from '@weskopos/core/simulator/fleetWorld';
import { priorFor, type PartHistory } from '@weskopos/core/wear/fleetRates';
import { learnRates } from '@weskopos/core/wear/learnRates';
import type { Place } from '@weskopos/core';
import { TOLD_FROM, findRateChange, findSlowLoss, type PressureLoss } from '@weskopos/core/wear/rateChange';

/** Gauges as the workshop knows them: their steps and how well they repeat, nothing of the world behind. */
const GAUGES: Readonly<Record<WorldPart['kind'], { readonly u: number; readonly fresh: number }>> = {
  tread: { u: Math.hypot(0.1 / Math.sqrt(12), 0.15), fresh: 0.3 },
  pad: { u: Math.hypot(0.5 / Math.sqrt(12), 0.25), fresh: 0.35 },
};

/** A simulated part's readings up to a day, as the wear model takes them. */
export function historyOf(vehicle: WorldVehicle, part: WorldPart, day: number): PartHistory | null {
  const gauge = GAUGES[part.kind];
  const readings = part.readings.filter((reading) => reading.day <= day);
  if (readings.length === 0) return null;
  return {
    id: part.id,
    vehicle: vehicle.id,
    kind: part.kind === 'pad' ? 'lining' : part.kind,
    axle: `${part.kind} ${part.place.slice(0, 1)}`,
    cell: `${part.kind} ${part.place.slice(0, 1)} ${vehicle.class} ${vehicle.use}`,
    fitted: part.nominal === null ? null : { x: part.fittedKm / 1000, fresh: part.nominal, sigma: gauge.fresh },
    readings: readings.map(({ km, value }) => ({ x: km / 1000, y: value, u: gauge.u, bound: 'exact' })),
  };
}

/** Something raised at one visit, with what it is measured by. */
interface Alarm {
  readonly vehicle: WorldVehicle;
  readonly kind: 'tread' | 'pad' | 'pressure';
  readonly places: readonly string[];
  readonly visit: number;
  readonly day: number;
  readonly score: number;
}

/** Changes count from this factor on. */
const LEAST_FACTOR = 1.5;
const WITHIN_VISITS = 2;
/** A thing raised is not raised again for so many visits. */
const QUIET_VISITS = 4;
/** A change this old explains an alarm still: parts that are not yet replaced wear on at the new rate. */
const EXPLAINS_VISITS = 5;
const YEAR = 365.25;

/** Found changes against false alarms at one threshold. */
export interface CurvePoint {
  readonly threshold: number;
  readonly found: number;
  readonly falsePerYear: number;
}

/** How well changes of wear are found, beside the plain method. */
export interface ChangeStudy {
  readonly events: number;
  readonly vehicleYears: number;
  readonly ours: readonly CurvePoint[];
  readonly naive: readonly CurvePoint[];
}

const PLAN = { vehicles: 60, years: 8 };
const FROM_DAY = 2 * YEAR;

/** Finds what changed in fleets whose truth is known, by likelihood and by the plain comparison of the last two stretches. */
export function studyChanges(seeds: readonly number[]): ChangeStudy {
  const worlds = seeds.map((seed) => fleetWorld({ ...PLAN, seed, changing: true }));
  const alarms = worlds.map((world) => ({ world, ours: ourAlarms(world), naive: naiveAlarms(world) }));
  const events = alarms.flatMap(({ world }) =>
    world.flatMap((vehicle) =>
      vehicle.events.filter((event) => counts(vehicle, event)).map((event) => ({ vehicle, event })),
    ),
  );
  const vehicleYears = worlds.flat().length * (PLAN.years - FROM_DAY / YEAR);
  const curve = (all: readonly Alarm[], thresholds: readonly number[]) =>
    thresholds.map((threshold): CurvePoint => {
      const raised = thinned(all.filter(({ score }) => score >= threshold));
      const found = events.filter(({ vehicle, event }) =>
        raised.some((alarm) => alarm.vehicle === vehicle && explains(alarm, event, WITHIN_VISITS)),
      ).length;
      const wrong = raised.filter(
        (alarm) => !alarm.vehicle.events.some((event) => event.factor > 1.1 && explains(alarm, event, EXPLAINS_VISITS)),
      ).length;
      return { threshold, found: found / events.length, falsePerYear: wrong / vehicleYears };
    });
  return {
    events: events.length,
    vehicleYears,
    ours: curve(
      alarms.flatMap(({ ours }) => ours),
      [-1, TOLD_FROM, 1, 2, 3, 5, 8],
    ),
    naive: curve(
      alarms.flatMap(({ naive }) => naive),
      [1.5, 1.8, 2.5, 4, 6, 10],
    ),
  };
}

const visitsAfter = (vehicle: WorldVehicle, day: number) => vehicle.visits.filter((visit) => visit.day > day);

/** Events one can ask to be found: large enough, late enough that there is a past, with two visits after. */
function counts(vehicle: WorldVehicle, event: WorldEvent): boolean {
  return (
    event.factor >= LEAST_FACTOR && event.day > FROM_DAY && visitsAfter(vehicle, event.day).length >= WITHIN_VISITS
  );
}

function explains(alarm: Alarm, event: WorldEvent, visits: number): boolean {
  const sort = event.kind === 'puncture' ? 'pressure' : event.kind === 'drag' ? 'pad' : 'wear';
  if (sort === 'wear' ? alarm.kind === 'pressure' : alarm.kind !== sort) return false;
  if (event.place !== '' && !alarm.places.includes(event.place)) return false;
  // A puncture nobody has mended explains what is raised for as long as it leaks.
  if (sort === 'pressure' && visits === EXPLAINS_VISITS)
    return (
      event.day < alarm.day &&
      !alarm.vehicle.pressures.some(
        ({ place, day, mended }) => mended && place === event.place && day > event.day && day < alarm.day,
      )
    );
  const first = alarm.vehicle.visits.findIndex(({ day }) => day > event.day);
  return first >= 0 && alarm.visit >= first && alarm.visit < first + visits;
}

/** What is raised stays quiet for a while. */
function thinned(alarms: readonly Alarm[]): Alarm[] {
  const last = new Map<string, number>();
  return alarms.filter(({ vehicle, kind, visit }) => {
    const key = `${vehicle.id} ${kind}`;
    if (visit - (last.get(key) ?? -Infinity) < QUIET_VISITS) return false;
    last.set(key, visit);
    return true;
  });
}

function ourAlarms(world: readonly WorldVehicle[]): Alarm[] {
  let learned = -Infinity;
  let rates = learnRates([]);
  const moments = world
    .flatMap((vehicle) => vehicle.visits.map(({ day }, visit) => ({ vehicle, day, visit })))
    .sort((a, b) => a.day - b.day);
  return moments.flatMap(({ vehicle, day, visit }): Alarm[] => {
    if (day < FROM_DAY) return [];
    if (day - learned > 180) {
      learned = day;
      rates = learnRates(world.flatMap((one) => one.parts.flatMap((part) => historyOf(one, part, day) ?? [])));
    }
    const wear = (['tread', 'pad'] as const).flatMap((kind): Alarm[] => {
      const parts = vehicle.parts.flatMap((part) => {
        const history = part.kind === kind ? historyOf(vehicle, part, day) : null;
        const fitted = part.readings.at(-1);
        return history && fitted && fitted.day >= day && part.fittedDay < day
          ? [
              {
                id: part.id,
                place: part.place,
                prior: priorFor(rates, history),
                fitted: history.fitted,
                readings: history.readings,
              },
            ]
          : [];
      });
      const change = findRateChange(parts);
      return change ? [{ vehicle, kind, places: change.places, visit, day, score: change.odds }] : [];
    });
    const loss = findSlowLoss((stretches) => lossesAt(vehicle, visit, stretches));
    return loss ? [...wear, { vehicle, kind: 'pressure', places: [loss.place], visit, day, score: loss.odds }] : wear;
  });
}

function lossesAt(vehicle: WorldVehicle, visit: number, stretches: number): PressureLoss[] {
  const places = [...new Set(vehicle.pressures.map(({ place }) => place))];
  const at = (place: Place, day: number | undefined) =>
    vehicle.pressures.find((one) => one.place === place && one.day === day);
  return places.flatMap((place) => {
    const back = Array.from({ length: Math.min(stretches, visit) }, (_, n) => {
      const [now, before] = [at(place, vehicle.visits[visit - n]?.day), at(place, vehicle.visits[visit - n - 1]?.day)];
      return now && before ? { days: now.day - before.day, lost: before.left - now.found } : null;
    });
    const told = back.flatMap((one) => one ?? []);
    if (back[0] === null || told.length === 0) return [];
    const sum = (of: (one: (typeof told)[number]) => number) => told.reduce((total, one) => total + of(one), 0);
    return [{ place, days: sum(({ days }) => days), lost: sum(({ lost }) => lost), refills: told.length - 1 }];
  });
}

/** The last stretch against the one before, part by part and tyre by tyre. */
function naiveAlarms(world: readonly WorldVehicle[]): Alarm[] {
  return world.flatMap((vehicle) =>
    vehicle.visits.flatMap(({ day }, visit): Alarm[] => {
      if (day < FROM_DAY) return [];
      const wear = vehicle.parts.flatMap((part): Alarm[] => {
        const readings = part.readings.filter((reading) => reading.day <= day).slice(-3);
        const [a, b, c] = readings;
        if (!a || !b || c?.day !== day) return [];
        const [was, is] = [(a.value - b.value) / (b.km - a.km), (b.value - c.value) / (c.km - b.km)];
        return was > 0 ? [{ vehicle, kind: part.kind, places: [part.place], visit, day, score: is / was }] : [];
      });
      const before = lossesAt(vehicle, visit - 1, 1);
      const losses = lossesAt(vehicle, visit, 1).flatMap(({ place, days, lost }): Alarm[] => {
        const was = before.find((one) => one.place === place);
        return was && was.lost > 0
          ? [{ vehicle, kind: 'pressure', places: [place], visit, day, score: lost / days / (was.lost / was.days) }]
          : [];
      });
      return [...wear, ...losses];
    }),
  );
}
