import { fleetWorld, type WorldPart, type WorldVehicle } from '../simulator/fleetWorld';
import { priorFor, type PartHistory } from '../wear/fleetRates';
import { learnRates } from '../wear/learnRates';
import { chanceAt, crossingAt, crossingCurve } from '../wear/crossing';
import { believe } from '../wear/wearBelief';
import { dayOfChance, learnUsage, usageNow, type MeterPoint } from '../wear/usageModel';
import { JUDGED, meanPinball, quantileOf } from './loss';
import { naiveLeft } from './naive';

/** A small fleet that nobody tuned anything on; the bench does the same on larger ones, by the week. */
const PLAN = { seed: 31_415, vehicles: 24, years: 10 };
const YEAR = 365.25;
const GAUGE = { tread: { u: 0.16, fresh: 0.3 }, pad: { u: 0.32, fresh: 0.35 } } as const;

function historyOf(vehicle: WorldVehicle, part: WorldPart, day: number): PartHistory | null {
  const { u, fresh } = GAUGE[part.kind];
  const read = part.readings.filter((reading) => reading.day <= day);
  if (read.length === 0) return null;
  const axle = `${part.kind} ${part.place.slice(0, 1)}`;
  return {
    id: part.id,
    vehicle: vehicle.id,
    kind: part.kind === 'pad' ? 'lining' : part.kind,
    axle,
    cell: `${axle} ${vehicle.class} ${vehicle.use}`,
    fitted: part.nominal === null ? null : { x: part.fittedKm / 1000, fresh: part.nominal, sigma: fresh },
    readings: read.map(({ km, value }) => ({ x: km / 1000, y: value, u, bound: 'exact' })),
  };
}

const metersOf = (vehicle: WorldVehicle, day: number): MeterPoint[] =>
  vehicle.visits.filter((visit) => visit.day <= day).map((visit) => ({ day: visit.day, x: visit.km / 1000 }));

interface Told {
  readonly truth: number;
  readonly truthDays: number;
  readonly quantiles: readonly number[];
  readonly days: readonly number[];
  readonly plain: number;
}

/** Forecasts of every running part at each visit of one year, from what had been read by then. */
function forecasts(changing: boolean): Told[] {
  const world = fleetWorld({ ...PLAN, changing });
  const from = 4 * YEAR;
  const rates = learnRates(world.flatMap((one) => one.parts.flatMap((part) => historyOf(one, part, from) ?? [])));
  const use = learnUsage(world.map((one) => metersOf(one, from)));
  return world.flatMap((vehicle) =>
    vehicle.visits
      .filter(({ day }) => day > from && day < from + YEAR)
      .flatMap(({ day, km }) =>
        vehicle.parts.flatMap((part): Told[] => {
          const history = historyOf(vehicle, part, day);
          const isRead = part.readings.some((reading) => reading.day === day);
          const { crossedKm, crossedDay } = part;
          if (!history || !isRead || crossedKm === null || crossedDay === null || crossedDay <= day) return [];
          const curve = crossingCurve(believe(priorFor(rates, history), history.fitted, history.readings), part.limit);
          const now = usageNow(metersOf(vehicle, day), use);
          const fitted = history.fitted && { x: history.fitted.x, y: history.fitted.fresh };
          const input = { readings: history.readings, fitted, limit: part.limit, fleetLife: null };
          return [
            {
              truth: (crossedKm - km) / 1000,
              truthDays: crossedDay - day,
              quantiles: JUDGED.map((chance) => crossingAt(curve, chance)),
              days: JUDGED.map((chance) => dayOfChance(now, chance, (ahead) => chanceAt(curve, ahead))),
              plain: naiveLeft('line-from-new', input) ?? naiveLeft('line', input) ?? 20,
            },
          ];
        }),
      ),
  );
}

const holds = ([low = NaN, , high = NaN]: readonly number[], truth: number) => truth >= low && truth <= high;
const share = (list: readonly boolean[]) => list.filter(Boolean).length / list.length;
const mean = (list: readonly number[]) => list.reduce((sum, one) => sum + one, 0) / list.length;

describe.each([
  ['a steady world', false],
  ['a world with changes', true],
])('%s', (_, changing) => {
  const told = forecasts(changing);

  test('gives forecasts enough to judge by', () => expect(told.length).toBeGreaterThan(200));

  test('four in five truths come within the range, in distance and in date', () => {
    const distance = share(told.map(({ quantiles, truth }) => holds(quantiles, truth)));
    const dates = share(told.map(({ days, truthDays }) => holds(days, truthDays)));
    // Uncalibrated and on a small fleet: wide of 80 % by a little, never by much.
    expect(distance).toBeGreaterThan(0.68);
    expect(distance).toBeLessThan(0.93);
    expect(dates).toBeGreaterThan(0.68);
    expect(dates).toBeLessThan(0.95);
  });

  test('they lose clearly less than the best plain line', () => {
    const ours = mean(told.map(({ quantiles, truth }) => meanPinball(quantiles, truth)));
    const plain = mean(told.map(({ plain: one, truth }) => meanPinball([one, one, one], truth)));
    expect(ours).toBeLessThan(0.8 * plain);
  });

  test('and their middle is nearer', () => {
    const off = (of: (one: Told) => number) =>
      quantileOf(
        told.map((one) => Math.abs(of(one) - one.truth)),
        0.5,
      );
    expect(off(({ quantiles }) => quantiles[1] ?? NaN)).toBeLessThan(off(({ plain }) => plain));
  });
});
