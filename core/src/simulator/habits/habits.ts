/** A gauge as a workshop has it: its step is printed on it, what it is off by is not. */
export interface HouseGauge {
  readonly step: number;
  readonly sigma: number;
  /** What it reads too much, always. */
  readonly off: number;
}

/** What a simulated house, its vehicles and its roads are like; each can be set alone. Chances are a vehicle-year unless said. */
export interface Habits {
  /** Parts are renewed once no more than this share of their wear is left, 0 for at the limit only; and with which chance a visit. */
  readonly renewAt: number;
  readonly renewChance: number;
  /** What is renewed with it. */
  readonly renewWith: 'alone' | 'axle' | 'all';
  /** Wear goes with depth to this power: over 0 it slows as the part gets thin, under 0 it speeds up. */
  readonly depthPower: number;
  /** Thousands of km between rotations, front with rear; 0 for never. */
  readonly rotateEvery: number;
  /** A tyre that wears at one shoulder, from then on. */
  readonly alignment: number;
  /** A brake that drags, until its pads are renewed. */
  readonly drags: number;
  /** Another route, and another driver. */
  readonly routes: number;
  /** The vehicle goes to somebody else: use and wear are drawn anew. */
  readonly handedOver: number;
  /** Share of vehicles that came worn, with no past, in the first third of the years. */
  readonly secondHand: number;
  /** Gauges in the house, one taken for each visit. */
  readonly tread: readonly HouseGauge[];
  readonly pad: readonly HouseGauge[];
  /** Share of visits at which tread is told by its bars only. */
  readonly bars: number;
  /** Shares of readings that are plainly wrong, and of visits at which outer and inner are written down the wrong way round. */
  readonly misread: number;
  readonly swapped: number;
  /** Share of visits that did not happen. */
  readonly missed: number;
  /** Spread between vehicles, and between parts of one, log. */
  readonly vehicles: number;
  readonly parts: number;
  /** Typical wear against what is usual, by kind. */
  readonly treadWear: number;
  readonly padWear: number;
  /** Share of vehicles with a second set of tyres for the cold half of the year. */
  readonly seasonal: number;
  /** Meters that are replaced: the new one counts from anywhere. */
  readonly metersReplaced: number;
  /** Share of vehicles that work by the hour. */
  readonly byHours: number;
}

const FINE: readonly HouseGauge[] = [{ step: 0.1, sigma: 0.15, off: 0.05 }];
const HALVES: readonly HouseGauge[] = [{ step: 0.5, sigma: 0.25, off: -0.1 }];
const MIXED: readonly HouseGauge[] = [
  { step: 0.1, sigma: 0.12, off: 0.1 },
  { step: 0.5, sigma: 0.25, off: -0.2 },
  { step: 1, sigma: 0.35, off: 0.3 },
];

/** A house without habits on roads that stay as they are. */
export const CALM: Habits = {
  renewAt: 0,
  renewChance: 0,
  renewWith: 'alone',
  depthPower: 0,
  rotateEvery: 0,
  alignment: 0,
  drags: 0,
  routes: 0,
  handedOver: 0,
  secondHand: 0,
  tread: FINE,
  pad: HALVES,
  bars: 0,
  misread: 0.01,
  swapped: 0,
  missed: 0.05,
  vehicles: 0.22,
  parts: 0.12,
  treadWear: 1,
  padWear: 1,
  seasonal: 0,
  metersReplaced: 0,
  byHours: 0,
};

/** Worlds that each disagree with what a forecaster would like to believe. */
export const NAMED_WORLDS: Readonly<Record<string, Habits>> = {
  calm: CALM,
  'roads that change': { ...CALM, routes: 0.25, handedOver: 0.08, drags: 0.08 },
  'renewed early': { ...CALM, renewAt: 0.3, renewChance: 0.6, renewWith: 'axle', routes: 0.1 },
  'renewed all round': { ...CALM, renewAt: 0.2, renewChance: 0.9, renewWith: 'all', depthPower: 0.3 },
  'slows as it gets thin': { ...CALM, depthPower: 0.6, routes: 0.1 },
  'speeds up at the end': { ...CALM, depthPower: -0.4, routes: 0.1 },
  rotated: { ...CALM, rotateEvery: 12, depthPower: 0.3, routes: 0.1, renewAt: 0.15, renewChance: 0.5 },
  'one shoulder': { ...CALM, alignment: 0.2, routes: 0.1, swapped: 0.03, depthPower: 0.2 },
  'any gauge': { ...CALM, tread: MIXED, pad: MIXED, misread: 0.03, swapped: 0.03, missed: 0.2, routes: 0.1 },
  'bars and second hand': {
    ...CALM,
    bars: 0.35,
    secondHand: 0.6,
    missed: 0.15,
    routes: 0.1,
    treadWear: 0.6,
    padWear: 1.7,
  },
  'two sets of tyres': { ...CALM, seasonal: 0.8, routes: 0.1, depthPower: 0.2, rotateEvery: 20 },
  'meters replaced': { ...CALM, metersReplaced: 0.15, routes: 0.1, missed: 0.1 },
  'by the hour': { ...CALM, byHours: 0.6, routes: 0.1, depthPower: 0.2, renewAt: 0.15, renewChance: 0.5 },
};

/** A world drawn from all switches. */
export function drawHabits(random: () => number): Habits {
  const between = (low: number, high: number) => low + (high - low) * random();
  const now = (chance: number, value: number) => (random() < chance ? value : 0);
  const one = <T>(list: readonly [T, ...T[]]): T => list[Math.floor(random() * list.length)] ?? list[0];
  const gauges = () =>
    Array.from({ length: 1 + Math.floor(random() * 3) }, () => {
      const step = one([0.1, 0.2, 0.5, 1]);
      return { step, sigma: between(0.08, 0.3) + step / 10, off: between(-0.25, 0.25) };
    });
  return {
    renewAt: now(0.7, between(0.05, 0.4)),
    renewChance: between(0.2, 0.9),
    renewWith: one(['alone', 'axle', 'all']),
    depthPower: between(-0.4, 0.7),
    rotateEvery: now(0.5, between(8, 25)),
    alignment: now(0.5, between(0.03, 0.25)),
    drags: now(0.7, between(0.03, 0.12)),
    routes: now(0.8, between(0.05, 0.3)),
    handedOver: now(0.5, between(0.03, 0.15)),
    secondHand: now(0.5, between(0.2, 0.8)),
    tread: gauges(),
    pad: gauges(),
    bars: now(0.3, between(0.1, 0.5)),
    misread: between(0, 0.04),
    swapped: now(0.4, between(0.01, 0.06)),
    missed: between(0, 0.25),
    vehicles: between(0.12, 0.35),
    parts: between(0.06, 0.22),
    treadWear: between(0.5, 1.9),
    padWear: between(0.5, 1.9),
    seasonal: now(0.4, between(0.2, 0.9)),
    metersReplaced: now(0.4, between(0.03, 0.12)),
    byHours: now(0.3, between(0.2, 0.6)),
  };
}
