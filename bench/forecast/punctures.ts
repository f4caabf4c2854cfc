import { fleetWorld, type WorldEvent, type WorldVehicle } from '@weskopos/core/simulator/fleetWorld';
import type { Place } from '@weskopos/core';
import { findSlowLoss, type PressureLoss } from '@weskopos/core/wear/pressureLoss';
import { LEAST_FACTOR, WITHIN_VISITS, alarmCurve, type Alarm, type ChangeStudy } from './alarmCurve';

const YEAR = 365.25;
const PLAN = { vehicles: 60, years: 8 };
const FROM_DAY = 2 * YEAR;

/** Finds slow punctures in fleets whose truth is known, by likelihood and by the plain comparison of the last two stretches. */
export function studyPunctures(seeds: readonly number[]): ChangeStudy {
  const vehicles = seeds.flatMap((seed) => fleetWorld({ ...PLAN, seed, changing: true }));
  const events = vehicles.flatMap((vehicle) =>
    vehicle.events.filter((event) => counts(vehicle, event)).map((event) => ({ vehicle, event })),
  );
  const vehicleYears = vehicles.length * (PLAN.years - FROM_DAY / YEAR);
  const truth = { events, vehicleYears, finds, explained };
  return {
    events: events.length,
    vehicleYears,
    ours: alarmCurve(ourAlarms(vehicles), [-1, 0, 1, 2, 3, 5, 8], truth),
    naive: alarmCurve(naiveAlarms(vehicles), [1.5, 2.5, 4, 6, 10], truth),
  };
}

/** Punctures one can ask to be found: late enough that there is a past, with two visits after. */
function counts({ visits }: WorldVehicle, { kind, factor, day }: WorldEvent): boolean {
  return (
    kind === 'puncture' &&
    factor >= LEAST_FACTOR &&
    day > FROM_DAY &&
    visits.filter((visit) => visit.day > day).length >= WITHIN_VISITS
  );
}

function finds({ vehicle, of, visit }: Alarm<WorldVehicle>, event: WorldEvent): boolean {
  const first = vehicle.visits.findIndex(({ day }) => day > event.day);
  return of.includes(event.place) && first >= 0 && visit >= first && visit < first + WITHIN_VISITS;
}

/** A puncture nobody has mended explains what is raised for as long as it leaks. */
function explained({ vehicle, of, visit }: Alarm<WorldVehicle>): boolean {
  const raised = vehicle.visits[visit]?.day ?? 0;
  const mendedBetween = (event: WorldEvent) =>
    vehicle.pressures.some(
      ({ place, day, mended }) => mended && place === event.place && day > event.day && day < raised,
    );
  return vehicle.events.some(
    (event) => event.kind === 'puncture' && of.includes(event.place) && event.day < raised && !mendedBetween(event),
  );
}

const momentsOf = (vehicles: readonly WorldVehicle[]) =>
  vehicles.flatMap((vehicle) =>
    vehicle.visits.flatMap(({ day }, visit) => (day < FROM_DAY ? [] : [{ vehicle, visit }])),
  );

const ourAlarms = (vehicles: readonly WorldVehicle[]): Alarm<WorldVehicle>[] =>
  momentsOf(vehicles).flatMap(({ vehicle, visit }) => {
    const loss = findSlowLoss((stretches) => lossesAt(vehicle, visit, stretches));
    return loss ? [{ vehicle, of: [loss.place], visit, score: loss.odds }] : [];
  });

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

/** What each tyre lost in the last stretch against the one before. */
const naiveAlarms = (vehicles: readonly WorldVehicle[]): Alarm<WorldVehicle>[] =>
  momentsOf(vehicles).flatMap(({ vehicle, visit }) => {
    const before = lossesAt(vehicle, visit - 1, 1);
    return lossesAt(vehicle, visit, 1).flatMap(({ place, days, lost }) => {
      const was = before.find((one) => one.place === place);
      return was && was.lost > 0 ? [{ vehicle, of: [place], visit, score: lost / days / (was.lost / was.days) }] : [];
    });
  });
