/** Of what is missing, this much goes in first; then settle and read again. */
const FIRST_SHARE = 0.75;

/** What to do about the oil by where it stands on the stick. */
export type StickAdvice =
  | { readonly status: 'add'; readonly litres: number; readonly firstLitres: number }
  | { readonly status: 'remove'; readonly litres: number }
  | { readonly status: 'right' };

/**
 * Litres between a stick reading and the target: `(target − level)·span`. At most three quarters go in before the
 * stick is read again.
 *
 * @param level and target as shares between the marks: 0 lower, 1 top
 * @param spanL litres between the marks, over 0
 */
export function stickToLitres(level: number, target: number, spanL: number): StickAdvice {
  if (!(spanL > 0)) throw new RangeError('litres between the marks must be over 0');
  const litres = (target - level) * spanL;
  if (level > 1) return { status: 'remove', litres: -litres };
  return litres > 0 ? { status: 'add', litres, firstLitres: litres * FIRST_SHARE } : { status: 'right' };
}

/** House limits of oil used, L per 1,000 km. */
export const OIL_USED_LIMITS = { advisory: 0.3, fail: 0.7 } as const;

/**
 * What an amount of oil used comes to by the house's limits. Oil does not grow: less than none was topped up and not
 * written down, was misread, or fuel or water is in it, and is no pass.
 */
export function oilUseGrade(per1000: number): 'pass' | 'advisory' | 'fail' | 'not-told' {
  if (per1000 < 0) return 'not-told';
  if (per1000 > OIL_USED_LIMITS.fail) return 'fail';
  return per1000 > OIL_USED_LIMITS.advisory ? 'advisory' : 'pass';
}

/**
 * Oil used, L per 1,000 km, since the last change: `(Σ top-ups + (level₀ − level₁)·span)/distance`.
 * Example: 1.3 L added, stick 0.9 → 0.4, span 1.0 L, 6,200 km → 0.290.
 */
export function oilUsed(toppedUpL: number, levelThen: number, levelNow: number, spanL: number, km: number): number {
  if (!(km > 0)) throw new RangeError('oil used is told over a distance');
  return ((toppedUpL + (levelThen - levelNow) * spanL) / km) * 1000;
}
