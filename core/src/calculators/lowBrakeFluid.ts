import type { HouseRules } from '../house/houseRules';

/** What to do about brake fluid that stands low. */
export type LowBrakeFluidAdvice = 'look-at-linings' | 'find-leak' | 'leave' | 'to-lower-mark' | 'top-up';

/** Under this share between the marks brake fluid stands low. */
const LOW_LEVEL = 0.25;
/** A lining under this share of its new thickness has made room that the fluid filled. */
const WORN_SHARE = 0.5;
/** Where nobody knows how thick it was new: under this much is worn, mm. */
const WORN_MM = 6;

/** The thinnest lining that is known, and what it was new, mm. */
export interface KnownLining {
  readonly mm: number;
  readonly newMm: number | null;
}

/**
 * What to do about brake fluid that stands low; null where it does not. Worn linings make it fall, and it comes back with
 * new ones: the house leaves it, or tops it up. With sound linings it has gone somewhere.
 *
 * @param level share between the marks, 0 lower, 1 upper
 * @param linings every lining that is known; none where nobody has looked
 */
export function lowBrakeFluidAdvice(
  level: number,
  linings: readonly KnownLining[],
  { lowBrakeFluid }: Pick<HouseRules, 'lowBrakeFluid'>,
): LowBrakeFluidAdvice | null {
  if (level >= LOW_LEVEL) return null;
  if (linings.length === 0) return 'look-at-linings';
  const worn = linings.some(({ mm, newMm }) => (newMm === null ? mm < WORN_MM : mm / newMm < WORN_SHARE));
  if (!worn) return 'find-leak';
  if (lowBrakeFluid === 'top-up') return 'top-up';
  return level < 0 ? 'to-lower-mark' : 'leave';
}
