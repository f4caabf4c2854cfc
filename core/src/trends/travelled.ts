import type { MeterAnswer } from '../inspection/inspection';

/** What a visit says of the meter. */
export interface MeterVisit {
  readonly id: string;
  readonly at: string;
  readonly meter: number;
  readonly meterAnswer: MeterAnswer | null;
}

/**
 * Distance (or hours) by each visit since the first, in the meter's unit, oldest first, with the meter's stories taken out:
 * after a replaced meter counting goes on from where the old one stood (the distance while it was out is unknown and
 * taken as none); a visit whose reading was later called a misread is left out.
 */
export function travelledByVisit(visits: readonly MeterVisit[]): Map<string, number> {
  const ordered = [...visits].sort((a, b) => a.at.localeCompare(b.at));
  const trusted = ordered.filter((_, index) => ordered[index + 1]?.meterAnswer !== 'last-misread');
  const travelled = new Map<string, number>();
  let total = 0;
  let before: number | null = null;
  for (const visit of trusted) {
    if (before !== null && visit.meterAnswer !== 'meter-replaced') total += Math.max(0, visit.meter - before);
    before = visit.meter;
    travelled.set(visit.id, total);
  }
  return travelled;
}
