import type { Place } from '../vehicle/vehicle';
import { believe } from './wearBelief';
import { type Fitted, type RatePrior, type WearReading } from './wearFilter';

/** A part watched for a change of its rate. */
export interface WatchedPart {
  readonly id: string;
  readonly place: Place;
  readonly prior: RatePrior;
  readonly fitted: Fitted | null;
  readonly readings: readonly WearReading[];
}

/** Wear that went up for good: on which parts, since when, by what factor, and how sure. */
export interface RateChange {
  readonly parts: readonly string[];
  readonly places: readonly Place[];
  /** Where it began, same unit as the readings' x: between two looks, so in the middle. */
  readonly sinceX: number;
  readonly factor: number;
  /** Log odds that something changed, against that nothing did. */
  readonly odds: number;
  /** The same as a chance, 0 to 1. */
  readonly sureness: number;
}

const FACTORS = [1.5, 2, 2.8] as const;
/** How many looks back a change is looked for: older ones are history, and in the rate already. */
const LOOKS_BACK = 2;
/**
 * Changes are seldom: odds before anything is read. Chosen on fleets made for building so that what is as likely as not
 * raises a false alarm less than once in ten vehicle-years.
 */
const PRIOR_ODDS = Math.log(0.03);
/** From these odds on a change is told: as likely as not. */
export const TOLD_FROM = 0;

/**
 * Whether the wear of these parts went up lately, alone or together: a driver or a route acts on all of a vehicle, a
 * dragging brake on one wheel. Compared by likelihood with *nothing changed*; parts read at the same visits share an onset.
 *
 * @param parts of one kind on one vehicle
 */
export function findRateChange(parts: readonly WatchedPart[]): RateChange | null {
  const usable = parts.filter(({ readings, fitted }) => readings.length + (fitted ? 1 : 0) >= 3);
  const onsets = onsetsOf(usable);
  const still = new Map(usable.map((part) => [part.id, believe(steadyOf(part.prior), part.fitted, part.readings).fit]));
  let best: RateChange | null = null;
  for (const sinceX of onsets)
    for (const factor of FACTORS) {
      const gains = usable.map((part) => ({
        part,
        gain: fitWith(part, sinceX, factor) - (still.get(part.id) ?? 0),
      }));
      for (const group of groupsOf(gains)) {
        const odds = group.reduce((sum, { gain }) => sum + gain, 0) + PRIOR_ODDS;
        if (group.length > 0 && odds > (best?.odds ?? -Infinity))
          best = {
            parts: group.map(({ part }) => part.id),
            places: group.map(({ part }) => part.place),
            sinceX,
            factor,
            odds,
            sureness: 1 / (1 + Math.exp(-odds)),
          };
      }
    }
  return best;
}

/** Log likelihood of a part's readings if its rate changed by `factor` at `sinceX`. */
function fitWith({ prior, fitted, readings }: WatchedPart, sinceX: number, factor: number): number {
  const stretchedReadings = readings.map((one) => stretched(one, sinceX, factor));
  return believe(steadyOf(prior), stretched(fitted, sinceX, factor), stretchedReadings).fit;
}

/** Rates are taken to hold unless told otherwise: a model that expects changes everywhere would wonder at none. */
const SELDOM = 0.001;
const steady = new WeakMap<RatePrior, RatePrior>();
function steadyOf(prior: RatePrior): RatePrior {
  const known = steady.get(prior) ?? { ...prior, changes: Math.min(SELDOM, prior.changes) };
  steady.set(prior, known);
  return known;
}

/** Every part alone, and all of them. */
function groupsOf<T>(gains: readonly T[]): (readonly T[])[] {
  return gains.length > 1 ? [...gains.map((one) => [one]), gains] : [gains];
}

/** Middles of the last stretches between looks. */
function onsetsOf(parts: readonly WatchedPart[]): number[] {
  const looks = [...new Set(parts.flatMap(({ readings }) => readings.map(({ x }) => x)))].sort((a, b) => a - b);
  return looks
    .slice(1)
    .map((x, index) => (x + (looks[index] ?? x)) / 2)
    .slice(-LOOKS_BACK);
}

/** Wear at k times the rate is wear over k times the distance. */
function stretched<T extends { readonly x: number } | null>(point: T, since: number, factor: number): T {
  return point && point.x > since ? { ...point, x: since + (point.x - since) * factor } : point;
}

/** What one tyre lost between two visits, at 20 °C. */
export interface PressureLoss {
  readonly place: Place;
  readonly days: number;
  /** kPa, below zero where it rose. */
  readonly lost: number;
  /** How often it was filled in between: each adds two readings of the gauge. */
  readonly refills: number;
}

/** Spread of a loss between sound tyres of one vehicle, kPa: gauge twice, and what 20 °C could not take out. */
const LOSS_SPREAD_KPA = 8;
/** And per kPa lost: sound tyres differ. */
const LOSS_SPREAD_SHARE = 0.35;

/** What a sound tyre lost, kPa: the lower half are the sound ones, if any are. */
function usualLoss(losses: readonly PressureLoss[]): number {
  const ordered = losses.map(({ lost }) => lost).sort((a, b) => a - b);
  return ordered[Math.floor((ordered.length - 1) / 2)] ?? 0;
}

/**
 * A tyre that loses against its fellows: cold weather and time act on all of them, a puncture on one. Log odds as for a
 * change of wear; null with fewer than three tyres to compare.
 */
export function findPressureLoss(
  losses: readonly PressureLoss[],
): { readonly place: Place; readonly odds: number; readonly perMonth: number } | null {
  if (losses.length < 3) return null;
  const usual = usualLoss(losses);
  const worst = losses.reduce((a, b) => (b.lost > a.lost ? b : a));
  const spread = LOSS_SPREAD_KPA * Math.sqrt(1 + worst.refills);
  const z = (worst.lost - usual) / Math.hypot(spread, LOSS_SPREAD_SHARE * Math.max(0, usual));
  if (!(z > 0)) return null;
  return {
    place: worst.place,
    odds: (z * z) / 2 - Math.log(losses.length) + PRIOR_ODDS,
    perMonth: ((worst.lost - usual) * 30) / Math.max(1, worst.days),
  };
}

/**
 * How a loss is shared out over how far back it is looked for: mostly it shows from one visit to the next; too slow for
 * that, it shows over several.
 */
const STRETCH_SHARES = [0.7, 0.1, 0.1, 0.1] as const;

/** A tyre that lost less than this share of it lately has been mended: history, and no loss. */
const STILL_LOSES = 0.6;

/** What a tyre lost more than its fellows, kPa a month. */
function excessAt(place: Place, losses: readonly PressureLoss[]): number {
  const own = losses.find((one) => one.place === place);
  const usual = usualLoss(losses);
  return own ? ((own.lost - usual) * 30) / Math.max(1, own.days) : -Infinity;
}

/**
 * As {@link findPressureLoss}, over as many stretches between visits as tell it most surely. Looked for in several ways,
 * each counts for less.
 *
 * @param lossesOver what each tyre lost over the last so many stretches
 */
export function findSlowLoss(lossesOver: (stretches: number) => readonly PressureLoss[]) {
  const told = STRETCH_SHARES.flatMap((share, index) => {
    const stretches = index + 1;
    const loss = findPressureLoss(lossesOver(stretches));
    return loss && loss.perMonth * STILL_LOSES <= excessAt(loss.place, lossesOver(1))
      ? [{ ...loss, odds: loss.odds + Math.log(share), stretches }]
      : [];
  });
  return told.sort((a, b) => b.odds - a.odds)[0] ?? null;
}
