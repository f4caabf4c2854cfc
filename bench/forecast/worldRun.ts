import {
  habitWorld,
  type HabitLook,
  type HabitPart,
  type HabitPlan,
  type HabitVehicle,
} from '@weskopos/core/simulator/habits/habitWorld';
import { JUDGED, quantileOf } from '@weskopos/core/score/loss';
import { NAIVE_METHODS, naiveLeft, type NaiveMethod } from '@weskopos/core/score/naive';
import {
  SPOTS,
  axleOfLook,
  firstCrossingOf,
  historyOf,
  travelledAt,
  watchedOn,
  worstOf,
} from '@weskopos/core/tests/habitHistory';
import { recordOf } from '@weskopos/core/sums/keyed';
import type { FleetRates, PartHistory } from '@weskopos/core/wear/fleetRates';
import { askFor, type Calibration } from '@weskopos/core/wear/calibration';
import { learnWidths } from '@weskopos/core/wear/learnWidths';
import { partCalibration } from '@weskopos/core/wear/partBelief';
import { findRateChange } from '@weskopos/core/wear/rateChange';
import { learnRates } from '@weskopos/core/wear/learnRates';
import { dayOfChance, learnUsage, usageNow, type MeterPoint } from '@weskopos/core/wear/usageModel';
import { chanceAt, crossingAt } from '@weskopos/core/wear/crossing';

const RELEARN_DAYS = 180;

/** One forecast with what came of it, distances in thousands of km. */
export interface RunForecast {
  readonly kind: HabitPart['kind'];
  /** Days since the house opened. */
  readonly day: number;
  readonly halfLife: boolean;
  readonly truth: number;
  readonly truthDays: number;
  /** At 10, 50, 90 %, as shown. */
  readonly ours: readonly number[];
  readonly oursDays: readonly number[];
  readonly noiseFree: number | null;
  /** By the true level, rate and shape of now. */
  readonly present: number;
  /** The part's whole life; null where nobody saw it new. */
  readonly life: number | null;
  readonly naive: Readonly<Record<NaiveMethod, number>>;
  /** Each plain figure with a spread learned from other vehicles. */
  readonly naiveSpread: Readonly<Record<NaiveMethod, readonly number[]>>;
}

/** What a forecaster is told that nobody knows. */
export interface Oracle {
  /** How the world's looks are read instead. */
  readonly looks?: (look: HabitLook) => HabitLook;
  /** How wear truly goes with depth. */
  readonly power?: number;
}

function worldOf(plan: HabitPlan, { looks }: Oracle): readonly HabitVehicle[] {
  const world = habitWorld(plan);
  if (!looks) return world;
  return world.map((vehicle) => ({
    ...vehicle,
    parts: vehicle.parts.map((part) => ({ ...part, looks: part.looks.map(looks) })),
  }));
}

/** Half-way through a part's wear, mm: where a straight line's rate is the middle one. */
const HALF_WORN = { tread: 4.8, other: 7.5 } as const;

function bentBy(rates: FleetRates, power: number | undefined): FleetRates {
  if (power === undefined) return rates;
  return Object.fromEntries(
    Object.entries(rates).map(([kind, { curve, ...rest }]) => {
      const half = kind.startsWith('tread') ? HALF_WORN.tread : HALF_WORN.other;
      return [kind, { ...rest, curve: { power, middle: curve.power === 0 ? half : curve.middle } }];
    }),
  );
}

/** Forecasts at every visit until `toDay`, from what had been read by then, beside what came, or would have. */
export function runWorld(plan: HabitPlan, toDay: number, oracle: Oracle = {}): RunForecast[] {
  const world = worldOf(plan, oracle);
  const moments = world
    .flatMap((vehicle) => vehicle.visits.map(({ day }) => ({ vehicle, day })))
    .filter(({ day }) => day <= toDay)
    .sort((a, b) => a.day - b.day);
  const told: RunForecast[] = [];
  const spreads = new Spreads();
  let learnedDay = -Infinity;
  let rates = learnRates([]);
  let use = learnUsage([]);
  let widths: Readonly<Record<string, Calibration>> = {};
  let lives = new Map<string, number>();
  for (const { vehicle, day } of moments) {
    if (day - learnedDay >= RELEARN_DAYS) {
      learnedDay = day;
      const histories = world.flatMap((one) =>
        one.parts.flatMap((part) => SPOTS[part.kind].flatMap((spot) => historyOf(one, part, spot, day) ?? [])),
      );
      rates = bentBy(learnRates(histories), oracle.power);
      widths = learnWidths(histories, rates);
      use = learnUsage(world.map((one) => metersOf(one, day)));
      lives = livesBy(world, day);
      spreads.until(day);
    }
    const change = findRateChange(rates, watchedOn(vehicle, day));
    const usage = usageNow(metersOf(vehicle, day), use);
    for (const part of vehicle.parts) {
      const look = part.looks.findLast((one) => one.day <= day);
      if (look?.day !== day || part.crossedKm === null || part.crossedDay === null) continue;
      // What goes into store is forecast when it comes back.
      if (look.after === 'kept') continue;
      const history = worstOf(vehicle, part, day);
      // What is read under its limit is told as that, and is no forecast; what is over it unseen is one, and late.
      if (!history || isReached(history, part.limit)) continue;
      const curve = firstCrossingOf(vehicle, part, history, day, rates, change?.perhaps);
      const calibration = partCalibration({ rates, widths }, history);
      const truth = Math.max(0, part.crossedKm - look.km) / 1000;
      const level = Math.min(...look.readings.map((reading) => reading.truth));
      const fitted = part.nominal === null ? null : part.fittedKm;
      const life = fitted === null ? null : (look.km - fitted) / (part.crossedKm - fitted);
      const naive = naives(part, history, lives);
      told.push({
        kind: part.kind,
        day,
        halfLife: life !== null && Math.abs(life - 0.5) <= 0.1,
        truth,
        truthDays: Math.max(0, part.crossedDay - day),
        ours: JUDGED.map((chance) => crossingAt(curve, askFor(calibration, chance))),
        oursDays: JUDGED.map((chance) =>
          dayOfChance(usage, askFor(calibration, chance), (ahead) => chanceAt(curve, ahead)),
        ),
        noiseFree:
          part.nominal === null
            ? null
            : ((level - part.limit) * (look.km - part.fittedKm)) / 1000 / Math.max(0.05, part.nominal - level),
        present: Math.max(0, Math.min(...look.readings.map(({ left }) => left))) / 1000,
        life: fitted === null ? null : (part.crossedKm - fitted) / 1000,
        naive,
        naiveSpread: recordOf(NAIVE_METHODS, (method) => spreads.of(part.kind, method, vehicle.id, naive[method])),
      });
      spreads.add({ kind: part.kind, vehicle: vehicle.id, naive, truth, knownDay: knownDay(part) });
    }
  }
  return told;
}

const isReached = ({ readings }: PartHistory, limit: number): boolean => {
  const last = readings.at(-1);
  return last?.bound === 'exact' && last.y < limit;
};

/** When a house learns that a part met its limit: at the look that finds it so; never of what it took off before. */
function knownDay({ crossedDay, removedDay, looks }: HabitPart): number {
  if (crossedDay === null || (removedDay !== null && removedDay < crossedDay)) return Infinity;
  return looks.find(({ day }) => day >= crossedDay)?.day ?? Infinity;
}

const metersOf = (vehicle: HabitVehicle, day: number): MeterPoint[] =>
  vehicle.visits
    .filter((visit) => visit.day <= day)
    .map((visit) => ({ day: visit.day, x: travelledAt(vehicle, visit.day) }));

const lifeKey = ({ kind, looks }: HabitPart) => {
  const last = looks.at(-1);
  return `${kind} ${last && axleOfLook(last)}`;
};

function livesBy(world: readonly HabitVehicle[], day: number): Map<string, number> {
  const all = new Map<string, number[]>();
  for (const part of world.flatMap(({ parts }) => parts))
    if (part.nominal !== null && part.crossedKm !== null && knownDay(part) <= day)
      all.set(lifeKey(part), [...(all.get(lifeKey(part)) ?? []), (part.crossedKm - part.fittedKm) / 1000]);
  return new Map([...all].map(([key, list]) => [key, list.reduce((sum, one) => sum + one, 0) / list.length]));
}

/** The plain methods; where one has no answer, the fleet's life, and where there is none, as far again as half a usual life. */
function naives(part: HabitPart, history: PartHistory, lives: ReadonlyMap<string, number>) {
  const fleetLife = lives.get(lifeKey(part)) ?? null;
  const fitted = history.fitted && { x: history.fitted.x, y: history.fitted.fresh };
  const input = {
    readings: history.readings.filter(({ bound }) => bound === 'exact'),
    fitted,
    limit: part.limit,
    fleetLife,
  };
  const fallback = naiveLeft('fleet-life', input) ?? naiveLeft('line', input) ?? (fleetLife ?? 30) / 2;
  return recordOf(NAIVE_METHODS, (method) => naiveLeft(method, input) ?? fallback);
}

interface Scored {
  readonly kind: HabitPart['kind'];
  readonly vehicle: string;
  readonly naive: Readonly<Record<NaiveMethod, number>>;
  readonly truth: number;
  readonly knownDay: number;
}

/** What plain figures turned out to be worth, learned as it becomes known, of other vehicles only. */
class Spreads {
  private readonly waiting: Scored[] = [];
  private readonly shares = new Map<string, readonly number[]>();
  private readonly ratios = new Map<string, { vehicle: string; ratio: number }[]>();

  add(scored: Scored): void {
    if (scored.knownDay < Infinity) this.waiting.push(scored);
  }

  until(day: number): void {
    this.shares.clear();
    const known = this.waiting.filter(({ knownDay: at }) => at <= day);
    this.waiting.splice(0, this.waiting.length, ...this.waiting.filter(({ knownDay: at }) => at > day));
    for (const { kind, vehicle, naive, truth } of known)
      for (const method of NAIVE_METHODS)
        if (naive[method] > 0) {
          const key = `${kind} ${method}`;
          this.ratios.set(key, [...(this.ratios.get(key) ?? []), { vehicle, ratio: truth / naive[method] }]);
        }
  }

  of(kind: string, method: NaiveMethod, vehicle: string, figure: number): readonly number[] {
    const key = `${kind} ${method} ${vehicle}`;
    const known = this.shares.get(key) ?? this.sharesOf(`${kind} ${method}`, vehicle);
    this.shares.set(key, known);
    return known.map((share) => figure * share);
  }

  private sharesOf(key: string, vehicle: string): readonly number[] {
    const ratios = (this.ratios.get(key) ?? []).flatMap((one) => (one.vehicle === vehicle ? [] : [one.ratio]));
    return JUDGED.map((chance) => (ratios.length < 20 ? 1 : quantileOf(ratios, chance)));
  }
}
