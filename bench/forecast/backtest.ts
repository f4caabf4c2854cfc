import {
  fleetWorld,
  type FleetWorldPlan,
  type WorldPart,
  type WorldVehicle,
} from '@weskopos/core/simulator/fleetWorld';
import { NAIVE_METHODS, naiveLeft, type NaiveMethod } from '@weskopos/core/score/naive';
import { JUDGED, quantileOf } from '@weskopos/core/score/loss';
import { UNCALIBRATED, askFor, calibrate, type Calibration, type ScoredChance } from '@weskopos/core/wear/calibration';
import { learnRates, priorFor, type PartHistory } from '@weskopos/core/wear/fleetRates';
import { chanceByDay, dayOfChance, learnUsage, usageNow, type MeterPoint } from '@weskopos/core/wear/usageModel';
import { believe, chanceAt as chanceOn, crossingAt, crossingCurve } from '@weskopos/core/wear/wearBelief';

/** Gauges as the workshop knows them: their steps and how well they repeat, nothing of the world behind. */
const GAUGES: Readonly<Record<WorldPart['kind'], { readonly u: number; readonly fresh: number }>> = {
  tread: { u: Math.hypot(0.1 / Math.sqrt(12), 0.15), fresh: 0.3 },
  pad: { u: Math.hypot(0.5 / Math.sqrt(12), 0.25), fresh: 0.35 },
};

/** One forecast of the bench with what came of it. */
export interface Judged {
  readonly kind: WorldPart['kind'];
  readonly halfLife: boolean;
  readonly readings: number;
  /** Thousands of km left when forecast, and by each method; days too for ours. */
  readonly truth: number;
  readonly truthDays: number;
  readonly ours: readonly number[];
  readonly oursDays: readonly number[];
  /** A straight line with a gauge that knows the truth. */
  readonly noiseFree: number | null;
  readonly naive: Readonly<Record<NaiveMethod, number>>;
  /** The same with a spread learned from other vehicles, 10, 50, 90 %. */
  readonly naiveSpread: Readonly<Record<NaiveMethod, readonly number[]>>;
}

const RELEARN_DAYS = 180;

interface Waiting {
  readonly part: WorldPart;
  readonly vehicle: string;
  readonly kmLeftAt: (day: number) => number | null;
  readonly chanceAt: (ahead: number) => number;
  readonly dayChanceAt: (days: number) => number;
  readonly madeDay: number;
  readonly madeKm: number;
  readonly naive: Readonly<Record<NaiveMethod, number>>;
}

/** Forecasts at every visit from `fromDay` to `toDay`, from what had been read by then, and judges them by the world's truth. */
export function backtest(plan: FleetWorldPlan, fromDay: number, toDay: number): Judged[] {
  const world = fleetWorld(plan);
  const judged: Judged[] = [];
  const waiting: Waiting[] = [];
  const moments = world
    .flatMap((vehicle) => vehicle.visits.map(({ day }) => ({ vehicle, day })))
    .filter(({ day }) => day <= toDay)
    .sort((a, b) => a.day - b.day);
  let learnedDay = -Infinity;
  let rates = learnRates([]);
  let use = learnUsage([]);
  const calibrations = new Map<string, Calibration>();
  let lives = new Map<string, number>();
  let spreads = new Map<string, Map<string, number[]>>();
  for (const { vehicle, day } of moments) {
    if (day < fromDay - 360) continue;
    if (day - learnedDay >= RELEARN_DAYS) {
      learnedDay = day;
      rates = learnRates(world.flatMap((one) => one.parts.flatMap((part) => historyOf(one, part, day) ?? [])));
      use = learnUsage(world.map((one) => metersOf(one, day)));
      lives = livesBy(world, day);
      for (const kind of ['tread', 'pad'] as const) {
        calibrations.set(kind, calibrate(scoredBy(waiting, kind, world, day, 'distance')));
        calibrations.set(`${kind} date`, calibrate(scoredBy(waiting, kind, world, day, 'date')));
      }
      spreads = spreadsBy(waiting, day);
    }
    const meters = metersOf(vehicle, day);
    const usage = usageNow(meters, use);
    for (const part of vehicle.parts) {
      const history = historyOf(vehicle, part, day);
      const last = part.readings.findLast((reading) => reading.day <= day);
      // Only what is still fitted and not yet found at its limit.
      if (!history || last?.day !== day || (part.crossedDay !== null && part.crossedDay <= day)) continue;
      const belief = believe(priorFor(rates, history), history.fitted, history.readings);
      const curve = crossingCurve(belief, part.limit);
      const chanceAt = (ahead: number) => chanceOn(curve, ahead);
      const dayChanceAt = (days: number) => chanceByDay(usage, days, chanceAt);
      const naive = naives(part, history, lives);
      waiting.push({
        part,
        vehicle: vehicle.id,
        madeDay: day,
        madeKm: last.km,
        chanceAt,
        dayChanceAt,
        naive,
        kmLeftAt: (now) => (part.crossedKm !== null && foundBy(part) <= now ? (part.crossedKm - last.km) / 1000 : null),
      });
      if (day < fromDay || part.crossedKm === null || part.crossedDay === null || history.readings.length < 2) continue;
      const wanted = JUDGED.map((quantile) => askFor(calibrations.get(part.kind) ?? UNCALIBRATED, quantile));
      const wantedDays = JUDGED.map((quantile) =>
        askFor(calibrations.get(`${part.kind} date`) ?? UNCALIBRATED, quantile),
      );
      const fitted = part.nominal === null ? null : part.fittedKm;
      const life = fitted === null ? null : (last.km - fitted) / (part.crossedKm - fitted);
      judged.push({
        kind: part.kind,
        readings: history.readings.length,
        halfLife: life !== null && Math.abs(life - 0.5) <= 0.1,
        truth: (part.crossedKm - last.km) / 1000,
        truthDays: part.crossedDay - day,
        ours: wanted.map((chance) => crossingAt(curve, chance)),
        oursDays: wantedDays.map((chance) => dayOfChance(usage, chance, chanceAt)),
        noiseFree:
          part.nominal === null
            ? null
            : ((last.truth - part.limit) * (last.km - part.fittedKm)) /
              1000 /
              Math.max(0.05, part.nominal - last.truth),
        naive,
        naiveSpread: Object.fromEntries(
          NAIVE_METHODS.map((method) => {
            const ratios = [...(spreads.get(`${part.kind} ${method}`) ?? [])].flatMap(([id, all]) =>
              id === vehicle.id ? [] : all,
            );
            return [
              method,
              JUDGED.map((quantile) => naive[method] * (ratios.length < 20 ? 1 : quantileOf(ratios, quantile))),
            ];
          }),
        ) as unknown as Judged['naiveSpread'],
      });
    }
  }
  return judged;
}

/** The day a truth is known: when a visit finds the part at its limit. */
const foundBy = (part: WorldPart) =>
  part.crossedDay === null ? Infinity : Math.max(part.crossedDay, part.readings.at(-1)?.day ?? Infinity);

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

const metersOf = (vehicle: WorldVehicle, day: number): MeterPoint[] =>
  vehicle.visits.filter((visit) => visit.day <= day).map((visit) => ({ day: visit.day, x: visit.km / 1000 }));

function livesBy(world: readonly WorldVehicle[], day: number): Map<string, number> {
  const all = new Map<string, number[]>();
  for (const part of world.flatMap(({ parts }) => parts))
    if (part.nominal !== null && part.crossedKm !== null && foundBy(part) <= day) {
      const key = `${part.kind} ${part.place.slice(0, 1)}`;
      all.set(key, [...(all.get(key) ?? []), (part.crossedKm - part.fittedKm) / 1000]);
    }
  return new Map([...all].map(([key, list]) => [key, list.reduce((sum, one) => sum + one, 0) / list.length]));
}

/** The plain methods; where one has no answer, the fleet's life, and where there is none, as far again as it has come. */
function naives(
  part: WorldPart,
  history: PartHistory,
  lives: ReadonlyMap<string, number>,
): Record<NaiveMethod, number> {
  const fleetLife = lives.get(`${part.kind} ${part.place.slice(0, 1)}`) ?? null;
  const fitted = history.fitted && { x: history.fitted.x, y: history.fitted.fresh };
  const input = { readings: history.readings, fitted, limit: part.limit, fleetLife };
  const fallback = naiveLeft('fleet-life', input) ?? naiveLeft('line', input) ?? (fleetLife ?? 30) / 2;
  return Object.fromEntries(NAIVE_METHODS.map((method) => [method, naiveLeft(method, input) ?? fallback])) as Record<
    NaiveMethod,
    number
  >;
}

function scoredBy(
  waiting: readonly Waiting[],
  kind: string,
  world: readonly WorldVehicle[],
  day: number,
  of: 'distance' | 'date',
): ScoredChance[] {
  const vehicles = new Map(world.map((vehicle) => [vehicle.id, vehicle]));
  return waiting
    .filter(({ part }) => part.kind === kind)
    .map(({ part, vehicle, madeDay, madeKm, kmLeftAt, chanceAt, dayChanceAt }) => {
      const left = kmLeftAt(day);
      if (left !== null && part.crossedDay !== null)
        return { chance: of === 'distance' ? chanceAt(left) : dayChanceAt(part.crossedDay - madeDay), arrived: true };
      const seen = vehicles.get(vehicle)?.visits.findLast((visit) => visit.day <= day);
      return {
        chance:
          of === 'distance'
            ? chanceAt(((seen?.km ?? madeKm) - madeKm) / 1000)
            : dayChanceAt((seen?.day ?? madeDay) - madeDay),
        arrived: false,
      };
    });
}

function spreadsBy(waiting: readonly Waiting[], day: number): Map<string, Map<string, number[]>> {
  const spreads = new Map<string, Map<string, number[]>>();
  for (const { part, vehicle, naive, kmLeftAt } of waiting) {
    const left = kmLeftAt(day);
    if (left === null) continue;
    for (const method of NAIVE_METHODS) {
      if (!(naive[method] > 0)) continue;
      const byVehicle = spreads.get(`${part.kind} ${method}`) ?? new Map<string, number[]>();
      spreads.set(`${part.kind} ${method}`, byVehicle);
      const list = byVehicle.get(vehicle);
      if (list) list.push(left / naive[method]);
      else byVehicle.set(vehicle, [left / naive[method]]);
    }
  }
  return spreads;
}
