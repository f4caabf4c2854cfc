import type { MeterAnswer } from '../inspection/inspection';
import { daysBetween } from '../sums/daysBetween';

/** What a visit says of the meter. */
export interface MeterVisit {
  readonly id: string;
  readonly at: string;
  readonly meter: number;
  readonly meterAnswer: MeterAnswer | null;
}

/**
 * Distance (or hours) by each visit since the first, in the meter's unit, oldest first, with the meter's stories taken out:
 * over a replaced meter the vehicle is taken to have gone on as on average until then (no meter saw that stretch; none
 * where nothing is known before it), and the new one counts from there; a visit whose reading was later called a misread
 * is left out. Only what came before tells of a stretch: what is known of a day stays as it was told that day.
 */
export function travelledByVisit(visits: readonly MeterVisit[]): Map<string, number> {
  const ordered = [...visits].sort((a, b) => a.at.localeCompare(b.at));
  const trusted = ordered.filter((_, index) => ordered[index + 1]?.meterAnswer !== 'last-misread');
  const travelled = new Map<string, number>();
  let total = 0;
  const seen = { distance: 0, days: 0 };
  let before: MeterVisit | null = null;
  for (const visit of trusted) {
    if (before !== null) {
      const days = daysBetween(before.at, visit.at);
      if (visit.meterAnswer === 'meter-replaced') total += seen.days > 0 ? (seen.distance / seen.days) * days : 0;
      else {
        const driven = Math.max(0, visit.meter - before.meter);
        total += driven;
        seen.distance += driven;
        seen.days += days;
      }
    }
    before = visit;
    travelled.set(visit.id, total);
  }
  return travelled;
}
