import { addDays } from 'date-fns/addDays';
import { formatISO } from 'date-fns/formatISO';
import type { NextDue } from './stickerOf';

/** What a vehicle's meter is taken to show today, and what it goes on by. */
export interface MeterStand {
  /** In the vehicle's own unit. */
  readonly meter: number;
  /** In that unit a day; 0 for one that stands. */
  readonly perDay: number;
}

/** When a job falls due, and what says so. */
export interface DueWhen {
  /** ISO date; in the past where it is over. */
  readonly at: string;
  readonly by: 'date' | 'meter';
}

/** Further off than this nobody plans, days. */
export const FARTHEST_DAYS = 36_500;

/**
 * When a job falls due: by its date, or by how far the vehicle goes, whichever comes first.
 *
 * @param stand null where the meter was never read
 * @param now ISO 8601
 * @returns null where nothing can be counted: never done on record, or by a meter that stands still
 */
export function dueWhen({ by, meter }: NextDue, stand: MeterStand | null, now: string): DueWhen | null {
  const left = meter === null || stand === null ? null : (meter - stand.meter) / stand.perDay;
  const days = left === null || Number.isNaN(left) || Math.abs(left) > FARTHEST_DAYS ? null : left;
  // Over by the meter is over, whatever the pace is.
  const past = meter !== null && stand !== null && stand.meter >= meter;
  const reached = days === null ? (past ? 0 : null) : days;
  const onMeter =
    reached === null
      ? null
      : formatISO(addDays(new Date(now), past ? Math.ceil(reached) : Math.floor(reached)), { representation: 'date' });
  if (onMeter !== null && (by === null || onMeter < by)) return { at: onMeter, by: 'meter' };
  return by === null ? null : { at: by, by: 'date' };
}
