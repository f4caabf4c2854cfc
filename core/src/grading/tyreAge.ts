const MS_PER_DAY = 86_400_000;
const DAYS_PER_YEAR = 365.25;

/** Monday of an ISO week given as year × 100 + week, UTC milliseconds: ISO 8601 puts 4 January into week 1. */
function weekStart(yyyyww: number): number {
  const year = Math.floor(yyyyww / 100);
  const january4 = Date.UTC(year, 0, 4);
  const weekday = (new Date(january4).getUTCDay() + 6) % 7;
  return january4 + ((yyyyww % 100) - 1) * 7 * MS_PER_DAY - weekday * MS_PER_DAY;
}

/**
 * Age in years from the week of making to a date; negative for a week that has not come yet.
 * Example: week 5 of 2020 on 2026-02-02 → 6.01 years.
 *
 * @param yyyyww year × 100 + ISO week, 195001 to 209953
 * @param at ISO date
 */
export function tyreAgeYears(yyyyww: number, at: string): number {
  return (Date.parse(at) - weekStart(yyyyww)) / (DAYS_PER_YEAR * MS_PER_DAY);
}
