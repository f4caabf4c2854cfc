/** One time at the pump. */
export interface FuelFill {
  /** Odometer, km. */
  readonly km: number;
  readonly litres: number;
  readonly full: boolean;
}

/** What was used between two full tanks. */
export interface FuelStretch {
  readonly fromKm: number;
  readonly toKm: number;
  readonly litresPer100Km: number;
}

/** Fuel use from full to full; partial fills are carried into the next full one. Fills before the first full one tell nothing. */
export function fuelUse(fills: readonly FuelFill[]): FuelStretch[] {
  const ordered = [...fills].sort((a, b) => a.km - b.km);
  const stretches: FuelStretch[] = [];
  let from: number | null = null;
  let litres = 0;
  for (const fill of ordered) {
    litres += fill.litres;
    if (!fill.full) continue;
    if (from !== null && fill.km > from)
      stretches.push({ fromKm: from, toKm: fill.km, litresPer100Km: (litres / (fill.km - from)) * 100 });
    from = fill.km;
    litres = 0;
  }
  return stretches;
}

const KM_PER_MILE = 1.609344;
const LITRES_PER_GALLON = { imperial: 4.54609, us: 3.785411784 } as const;

/** Miles per gallon ↔ litres per 100 km: the same sum both ways. Example: 40 mpg (imperial) = 7.06 L/100 km. Over 0. */
export function mpgToLitresPer100Km(value: number, gallon: keyof typeof LITRES_PER_GALLON): number {
  if (!(value > 0)) throw new RangeError('fuel use must be over 0');
  return (100 * LITRES_PER_GALLON[gallon]) / (KM_PER_MILE * value);
}
