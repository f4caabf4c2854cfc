import type { MeterAnswer } from '../inspection/finding';

export interface MeterVisit {
  readonly id: string;
  readonly at: string;
  readonly meterKm: number;
  readonly meterAnswer: MeterAnswer | null;
}

/**
 * Distance travelled by each visit since the first, km, oldest first, with the odometer's stories taken out:
 * after a replaced meter counting goes on from where the old one stood (the distance while it was out is unknown and
 * taken as none); a visit whose reading was later called a misread is left out.
 */
export function travelledKm(visits: readonly MeterVisit[]): Map<string, number> {
  const ordered = [...visits].sort((a, b) => a.at.localeCompare(b.at));
  const trusted = ordered.filter((_, index) => ordered[index + 1]?.meterAnswer !== 'last-misread');
  const travelled = new Map<string, number>();
  let total = 0;
  let before: number | null = null;
  for (const visit of trusted) {
    if (before !== null && visit.meterAnswer !== 'meter-replaced') total += Math.max(0, visit.meterKm - before);
    before = visit.meterKm;
    travelled.set(visit.id, total);
  }
  return travelled;
}
