import { quantileOf } from '@weskopos/core/score/loss';
import { drawBattery, drawFluid, healthAt, waterAt } from '@weskopos/core/simulator/ageing';
import { gaugeReads } from '@weskopos/core/simulator/gauge';
import { normalDraw, seededRandom } from '@weskopos/core/simulator/random';
import { ageForecast } from '@weskopos/core/states/ageForecast';
import { AGE_SHAPES } from '@weskopos/core/states/ageShapes';

const DAYS_PER_MONTH = 30.44;
const DAY_MS = 86_400_000;
const EVERY_MONTHS = 4;
const PER_SEED = 80;
const START = Date.parse('2020-01-01T08:00:00Z');

interface Aged {
  readonly held: boolean;
  readonly off: number;
  readonly lineOff: number | null;
}

/** What a house and what it fills in are like; each can be set alone. */
interface AgeingHabits {
  /** How much slower what is bought here ages than is usual, and how far one fill or make lies from the next, log. */
  readonly slower: number;
  readonly qualities: number;
  /** Months between top-ups that nobody writes down, each of this share of the fill; 0 for never. Of fluids only. */
  readonly toppedUp: number;
  readonly share: number;
  /** Months between looks. */
  readonly every: number;
  /** How much coarser gauges are than usual. */
  readonly coarser: number;
  /** Renewed once so much of its life is over, 1 for at its end only: then no more is forecast of it. */
  readonly renewedAt: number;
}

const PLAIN: AgeingHabits = {
  slower: 1,
  qualities: 0,
  toppedUp: 0,
  share: 0,
  every: EVERY_MONTHS,
  coarser: 1,
  renewedAt: 1,
};
const WORLDS: Readonly<Record<string, AgeingHabits>> = {
  plain: PLAIN,
  'several qualities': { ...PLAIN, qualities: 0.35 },
  'better than usual': { ...PLAIN, slower: 1.4 },
  'worse than usual': { ...PLAIN, slower: 0.7 },
  'topped up, not written down': { ...PLAIN, toppedUp: 10, share: 0.08 },
  'coarse gauges': { ...PLAIN, coarser: 2 },
  'seldom looked at': { ...PLAIN, every: 9 },
  'renewed early': { ...PLAIN, renewedAt: 0.7, qualities: 0.2 },
};

const KINDS = {
  water: {
    name: 'water in brake fluid',
    limit: 3,
    gauge: { step: 0.5, sigma: 0.2 },
    draw: (random: () => number, { toppedUp, share }: AgeingHabits) => {
      const truth = drawFluid(random);
      // Filled up with new, it is as young as it was at that much less water.
      const ages = (water: number) => -truth.months * Math.log(1 - (water - truth.fresh) / (truth.most - truth.fresh));
      return (age: number) => {
        let [young, from] = [0, 0];
        for (let fill = toppedUp; toppedUp > 0 && fill < age; fill += toppedUp) {
          const water = waterAt(truth, young + fill - from);
          [young, from] = [ages(water - share * (water - truth.fresh)), fill];
        }
        return waterAt(truth, young + age - from);
      };
    },
  },
  crank: {
    name: 'battery',
    limit: 0.6,
    gauge: { step: 0.008, sigma: 0.025 },
    draw: (random: () => number) => {
      const truth = drawBattery(random);
      return (age: number) => healthAt(truth, age);
    },
  },
} as const;

/** Every forecast made from the third look on until the limit is met, with when it truly is; half of the ages are known. */
function aged(kind: keyof typeof KINDS, habits: AgeingHabits, seed: number): Aged[] {
  const random = seededRandom(seed);
  const { limit, gauge: usual, draw } = KINDS[kind];
  const gauge = { step: usual.step * habits.coarser, sigma: usual.sigma * habits.coarser };
  const shape = AGE_SHAPES[kind];
  return Array.from({ length: PER_SEED }, (_, n) => n).flatMap((n) => {
    const drawn = draw(random, habits);
    // A switch that is off draws nothing: the worlds of the others stay as they are.
    const pace = habits.slower * (habits.qualities > 0 ? Math.exp(habits.qualities * normalDraw(random)) : 1);
    const truth = (age: number) => drawn(age / pace);
    const past = (age: number) => shape.yOf(truth(age)) < shape.yOf(limit);
    let end = 1;
    while (!past(end) && end < 400) end += 0.1;
    if (end >= 400) return [];
    // One whose age nobody told was met anywhere in its life.
    const told = n % 2 === 0;
    const firstLook = told ? 3 + 20 * random() : 0.9 * end * random();
    const at = (age: number) => new Date(START + age * DAYS_PER_MONTH * DAY_MS).toISOString();
    const looks: { at: string; age: number; value: number; u: number }[] = [];
    const found: Aged[] = [];
    for (let age = firstLook; age < habits.renewedAt * end; age += habits.every * (0.8 + 0.4 * random())) {
      const value = gaugeReads(truth(age), { ...gauge, misread: 0 }, random);
      looks.push({ at: at(age), age, value, u: Math.hypot(gauge.sigma, gauge.step / Math.sqrt(12)) });
      if (looks.length < 3) continue;
      const forecast = ageForecast(shape, limit, looks, told ? at(0) : null, { bears: 0.2, nextVisit: null });
      if (forecast.status === 'needs-readings') continue;
      const left = (end - age) * DAYS_PER_MONTH;
      const { low, mid, high } = forecast.days;
      found.push({
        held: left >= low && (high === null || left <= high),
        off: Math.abs((mid ?? 12 * 365) - left),
        lineOff: lineOff(looks, limit, left),
      });
    }
    return found;
  });
}

/** Least squares through all looks, a straight line on: days it is off; null where the line never comes there. */
function lineOff(looks: readonly { readonly age: number; readonly value: number }[], limit: number, left: number) {
  const mean = (of: (look: (typeof looks)[number]) => number) =>
    looks.reduce((sum, look) => sum + of(look), 0) / looks.length;
  const [x, y] = [mean(({ age }) => age), mean(({ value }) => value)];
  const slope =
    looks.reduce((sum, { age, value }) => sum + (age - x) * (value - y), 0) /
    looks.reduce((sum, { age }) => sum + (age - x) ** 2, 0);
  const meets = x + (limit - y) / slope;
  const last = looks.at(-1)?.age ?? 0;
  return Number.isFinite(meets) && meets > last ? Math.abs((meets - last) * DAYS_PER_MONTH - left) : null;
}

/** Seeds that were not looked at while the forecaster was built. */
const UNSEEN = [70_101, 70_202, 70_303, 70_404, 70_505];

/** How well what ages by standing is forecast, by built-in shapes and rates only, beside a straight line. */
export function benchAgeing(seeds: readonly number[] = UNSEEN): void {
  for (const [kind, world, habits] of (['water', 'crank'] as const).flatMap((one) =>
    Object.entries(WORLDS).flatMap(([name, of]) =>
      one === 'crank' && of.toppedUp > 0 ? [] : [[one, name, of] as const],
    ),
  )) {
    const all = seeds.flatMap((seed) => aged(kind, habits, seed));
    const held = all.filter((one) => one.held).length / all.length;
    const told = all.filter(({ lineOff: off }) => off !== null);
    const middle = (values: readonly number[]) => quantileOf(values, 0.5).toFixed(0);
    console.log(
      `${KINDS[kind].name}, ${world}: ${all.length} forecasts, ${(held * 100).toFixed(1)} % of the dates held; off ${middle(all.map(({ off }) => off))} days in the middle; ` +
        `where a straight line tells a date (${((told.length / all.length) * 100).toFixed(0)} %): off ${middle(told.map(({ off }) => off))}, the line ${middle(told.map(({ lineOff: off }) => off ?? 0))}`,
    );
  }
}
