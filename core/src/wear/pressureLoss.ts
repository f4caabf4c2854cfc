import type { Place } from '../vehicle/vehicle';

/**
 * Losses are seldom: odds before anything is read. Chosen on fleets made for building so that what is as likely as not
 * raises a false alarm less than once in ten vehicle-years.
 */
const PRIOR_ODDS = Math.log(0.03);

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
