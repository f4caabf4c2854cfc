const HALF_YEAR_DAYS = 182.6;
/** Shorter than this a record says little of how far a vehicle goes in half a year, days. */
const LEAST_DAYS = 30;

/** How far goes in half a year what went so far in so many days, unit of `gone`; null for too few to tell. */
export const inHalfYear = (gone: number, days: number): number | null =>
  days < LEAST_DAYS ? null : (gone / days) * HALF_YEAR_DAYS;
