import type { MeterAnswer } from '../inspection/finding';

export const METER_RANGE_KM = { least: 0, most: 3_000_000 } as const;
/** Further than this a day asks, km. */
const MOST_KM_PER_DAY = 1500;
const MS_PER_DAY = 86_400_000;

export type MeterCheck =
  | { readonly status: 'good'; readonly sinceKm: number | null; readonly sinceDays: number | null }
  | { readonly status: 'impossible'; readonly least: number; readonly most: number }
  | {
      readonly status: 'doubtful';
      readonly code: 'behind' | 'too-far';
      readonly lastKm: number;
      readonly answers: readonly MeterAnswer[];
    };

/**
 * Checks an odometer reading against the last one. Behind it, or more than 1,500 km a day ahead, is doubtful:
 * asked why, kept with the answer, never blocked.
 *
 * @param km the reading, km
 * @param last the reading before, with its ISO date; null on a first visit
 * @param at ISO date of this reading
 */
export function checkMeter(
  km: number,
  last: { readonly km: number; readonly at: string } | null,
  at: string,
): MeterCheck {
  if (!(km >= METER_RANGE_KM.least && km <= METER_RANGE_KM.most)) return { status: 'impossible', ...METER_RANGE_KM };
  if (!last) return { status: 'good', sinceKm: null, sinceDays: null };
  const sinceDays = Math.max(0, (Date.parse(at) - Date.parse(last.at)) / MS_PER_DAY);
  const sinceKm = km - last.km;
  if (sinceKm < 0)
    return { status: 'doubtful', code: 'behind', lastKm: last.km, answers: ['meter-replaced', 'last-misread'] };
  // A visit on the same day may follow a long road test; a whole day is the least that is judged by.
  if (sinceKm > MOST_KM_PER_DAY * Math.max(1, sinceDays))
    return {
      status: 'doubtful',
      code: 'too-far',
      lastKm: last.km,
      answers: ['last-misread', 'long-trip', 'meter-replaced'],
    };
  return { status: 'good', sinceKm, sinceDays };
}
