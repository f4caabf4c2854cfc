import { normalDraw } from './random';

/** How one fill of brake fluid takes up water: share when new and at most, %, and its time constant in months. */
export interface FluidTruth {
  readonly fresh: number;
  readonly most: number;
  readonly months: number;
}

/** How one battery fades: months until 60 % of its current are left, and how suddenly it goes at the end. */
export interface BatteryTruth {
  readonly life: number;
  readonly knee: number;
}

/** Water in a fill of this age, %. */
export function waterAt({ fresh, most, months }: FluidTruth, age: number): number {
  return fresh + (most - fresh) * (1 - Math.exp(-Math.max(0, age) / months));
}

/** Share of its first current a battery of this age gives; falls slowly, then fast, never under none. */
export function healthAt({ life, knee }: BatteryTruth, age: number): number {
  return Math.max(0, 1 - (0.4 * (Math.exp((knee * Math.max(0, age)) / life) - 1)) / (Math.exp(knee) - 1));
}

const around = (middle: number, sigma: number, random: () => number) => middle * Math.exp(sigma * normalDraw(random));

/** Draws how one fill of brake fluid takes up water. */
export function drawFluid(random: () => number): FluidTruth {
  return { fresh: 0.1 + 0.2 * random(), most: around(4.4, 0.15, random), months: around(52, 0.3, random) };
}

/** Draws how one battery fades. */
export function drawBattery(random: () => number): BatteryTruth {
  return { life: around(66, 0.3, random), knee: 2 + 2.5 * random() };
}
