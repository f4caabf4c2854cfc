import {
  habitWorld,
  type HabitEvent,
  type HabitPart,
  type HabitPlan,
  type HabitVehicle,
} from '@weskopos/core/simulator/habits/habitWorld';
import { SPOTS, historyOf, watchedOn } from '@weskopos/core/tests/habitHistory';
import type { FleetRates } from '@weskopos/core/wear/fleetRates';
import { learnRates } from '@weskopos/core/wear/learnRates';
import { TOLD_FROM, findRateChange } from '@weskopos/core/wear/rateChange';
import { LEAST_FACTOR, WITHIN_VISITS, alarmCurve, type Alarm, type ChangeStudy } from './alarmCurve';

/** A change this old explains an alarm still: parts that are not yet replaced wear on at the new rate. */
const EXPLAINS_VISITS = 5;
/** What is at least this large explains an alarm. */
const EXPLAINS_FACTOR = 1.1;
const YEAR = 365.25;
const FROM_DAY = 2 * YEAR;
const RELEARN_DAYS = 365;

/** Finds what changed in a world whose truth is known, by likelihood and by the plain comparison of the last two stretches. */
export function studyChanges(plans: readonly HabitPlan[]): ChangeStudy {
  const worlds = plans.map((plan) => habitWorld(plan));
  const ours = worlds.flatMap(ourAlarms);
  const naive = worlds.flatMap(naiveAlarms);
  const events = worlds
    .flat()
    .flatMap((vehicle) =>
      vehicle.events.filter((event) => counts(vehicle, event)).map((event) => ({ vehicle, event })),
    );
  const vehicleYears = plans.reduce((sum, { vehicles, years }) => sum + vehicles * (years - FROM_DAY / YEAR), 0);
  const explained = (alarm: Alarm<HabitVehicle>) =>
    alarm.vehicle.events.some((event) => event.factor > EXPLAINS_FACTOR && explains(alarm, event, EXPLAINS_VISITS));
  const finds = (alarm: Alarm<HabitVehicle>, event: HabitEvent) => explains(alarm, event, WITHIN_VISITS);
  const truth = { events, vehicleYears, finds, explained };
  return {
    events: events.length,
    vehicleYears,
    ours: alarmCurve(ours, [-2, -1, TOLD_FROM, 1, 2, 3, 5, 8], truth),
    naive: alarmCurve(naive, [1.5, 2.5, 4, 6, 10], truth),
  };
}

/** Events one can ask to be found: large enough, with two visits before and after at which a part they act on was looked at. */
function counts(vehicle: HabitVehicle, event: HabitEvent): boolean {
  const struck = new Set(event.parts);
  return (
    event.factor >= LEAST_FACTOR &&
    event.day > FROM_DAY &&
    vehicle.parts.some(
      ({ id, looks }) =>
        struck.has(id) &&
        looks.filter(({ day }) => day <= event.day).length >= 2 &&
        looks.filter(({ day }) => day > event.day).length >= WITHIN_VISITS,
    )
  );
}

function explains({ of, vehicle, visit }: Alarm<HabitVehicle>, event: HabitEvent, visits: number): boolean {
  if (!of.some((id) => event.parts.includes(id))) return false;
  const first = vehicle.visits.findIndex(({ day }) => day > event.day);
  return first >= 0 && visit >= first && visit < first + visits;
}

/** Parts that were on a vehicle and looked at on a day. */
const lookedAt = ({ parts }: HabitVehicle, day: number): HabitPart[] =>
  parts.filter(({ looks }) => looks.some((look) => look.day === day));

function momentsOf(world: readonly HabitVehicle[]) {
  return world
    .flatMap((vehicle) => vehicle.visits.map(({ day }, visit) => ({ vehicle, day, visit })))
    .filter(({ day }) => day >= FROM_DAY)
    .sort((a, b) => a.day - b.day);
}

function ourAlarms(world: readonly HabitVehicle[]): Alarm<HabitVehicle>[] {
  let learned = -Infinity;
  let rates: FleetRates = {};
  return momentsOf(world).flatMap(({ vehicle, day, visit }): Alarm<HabitVehicle>[] => {
    if (day - learned > RELEARN_DAYS) {
      learned = day;
      rates = learnRates(
        world.flatMap((one) =>
          one.parts.flatMap((part) => SPOTS[part.kind].flatMap((spot) => historyOf(one, part, spot, day) ?? [])),
        ),
      );
    }
    const spots = watchedOn(vehicle, day);
    const change = findRateChange(rates, spots);
    const parts = spots.filter(({ history }) => change?.ids.includes(history.id)).map(({ part }) => part.id);
    return change ? [{ vehicle, of: [...new Set(parts)], visit, score: change.odds }] : [];
  });
}

/** The last stretch against the one before, by each part's lowest place. */
function naiveAlarms(world: readonly HabitVehicle[]): Alarm<HabitVehicle>[] {
  return momentsOf(world).flatMap(({ vehicle, day, visit }): Alarm<HabitVehicle>[] =>
    lookedAt(vehicle, day).flatMap(({ id, looks }): Alarm<HabitVehicle>[] => {
      const [a, b, c] = looks
        .filter((look) => look.day <= day)
        .slice(-3)
        .map(({ km, readings }) => ({ km, value: Math.min(...readings.map(({ value }) => value)) }));
      if (!a || !b || !c) return [];
      const [was, is] = [(a.value - b.value) / (b.km - a.km), (b.value - c.value) / (c.km - b.km)];
      return was > 0 ? [{ vehicle, of: [id], visit, score: is / was }] : [];
    }),
  );
}
