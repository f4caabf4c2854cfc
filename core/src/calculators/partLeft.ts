/** How much of a part is left, and how far it goes at the rate it had. */
export interface PartLeft {
  /** Share of what could be worn that is left, 0 to 1. */
  readonly share: number;
  /** Meter units to the limit at this rate; null when nothing has worn. */
  readonly distance: number | null;
  readonly days: number | null;
}

/**
 * What is left of a lining or a tread, from when it was new to now.
 *
 * @param fresh, now, limit mm; limit < fresh
 * @param travelled meter units since it was new
 * @param perDay meter units a day; null when not known
 */
export function partLeft(
  fresh: number,
  now: number,
  limit: number,
  travelled: number,
  perDay: number | null,
): PartLeft {
  if (!(limit < fresh)) throw new RangeError('the limit lies under the new value');
  const share = Math.max(0, (now - limit) / (fresh - limit));
  const worn = fresh - now;
  const distance = worn > 0 && travelled > 0 ? (Math.max(0, now - limit) / worn) * travelled : null;
  return { share, distance, days: distance !== null && perDay && perDay > 0 ? distance / perDay : null };
}
