import type { MeterAnswer } from '../inspection/inspection';
import type { MeterUnit } from '../vehicle/vehicle';

/** What a meter can show, in its unit. */
export const METER_RANGE = { km: { least: 0, most: 3_000_000 }, h: { least: 0, most: 200_000 } } as const;
/** More than this a day asks, in the meter's unit. */
const MOST_PER_DAY = { km: 1500, h: 24 } as const;
const MS_PER_DAY = 86_400_000;

/** What a meter reading looks like beside the last one. */
export type MeterCheck =
  | { readonly status: 'good'; readonly since: number | null; readonly sinceDays: number | null }
  | { readonly status: 'impossible'; readonly least: number; readonly most: number }
  | {
      readonly status: 'doubtful';
      readonly code: 'behind' | 'too-far';
      readonly last: number;
      readonly answers: readonly MeterAnswer[];
    };

/**
 * Checks a meter reading against the last one. Behind it, or more than 1,500 km (24 h) a day ahead, is doubtful:
 * asked why, kept with the answer, never blocked.
 *
 * @param value the reading, in the meter's unit
 * @param last the reading before, with its ISO date; null on a first visit
 * @param at ISO date of this reading
 */
export function checkMeter(
  value: number,
  last: { readonly meter: number; readonly at: string } | null,
  at: string,
  unit: MeterUnit = 'km',
): MeterCheck {
  const range = METER_RANGE[unit];
  if (!(value >= range.least && value <= range.most)) return { status: 'impossible', ...range };
  if (!last) return { status: 'good', since: null, sinceDays: null };
  const sinceDays = Math.max(0, (Date.parse(at) - Date.parse(last.at)) / MS_PER_DAY);
  const since = value - last.meter;
  if (since < 0)
    return { status: 'doubtful', code: 'behind', last: last.meter, answers: ['meter-replaced', 'last-misread'] };
  // A visit on the same day may follow a long road test; a whole day is the least that is judged by.
  if (since > MOST_PER_DAY[unit] * Math.max(1, sinceDays))
    return {
      status: 'doubtful',
      code: 'too-far',
      last: last.meter,
      answers: ['last-misread', 'long-trip', 'meter-replaced'],
    };
  return { status: 'good', since, sinceDays };
}
