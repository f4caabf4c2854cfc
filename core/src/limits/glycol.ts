import { interpolate } from '../sums/interpolate';

export const GLYCOLS = ['ethylene', 'propylene'] as const;
/** A kind of antifreeze with a table of its own. */
export type Glycol = (typeof GLYCOLS)[number];

/** Freeze point by share of glycol, % by volume → °C (ASHRAE Handbook Fundamentals, aqueous solutions). */
const FREEZE_POINTS: Record<Glycol, readonly (readonly [number, number])[]> = {
  ethylene: [
    [0, 0],
    [8.9, -3.2],
    [18.1, -7.8],
    [27.7, -14.1],
    [37.5, -22.3],
    [47.6, -33.8],
    [57.8, -48.3],
  ],
  propylene: [
    [0, 0],
    [9.6, -3.3],
    [19.4, -7.1],
    [29.4, -12.7],
    [39.6, -21.1],
    [49.9, -33.5],
    [60.2, -51.1],
  ],
};

/** A value within the table, or on which side of its end the truth lies. */
export type TableValue =
  | { readonly status: 'value'; readonly value: number }
  | { readonly status: 'beyond'; readonly side: 'below' | 'above'; readonly end: number };

/** Past the end of the table the curve of freeze points turns back: nothing can be told of it. */
export type FreezePoint = TableValue | { readonly status: 'turns'; readonly end: number };

/**
 * Freeze point, °C, of a share of glycol, % by volume. Example: 30 % ethylene → −16.0 °C. Past the table's end there is
 * no bound either: more glycol freezes earlier again (neat ethylene glycol near −13 °C).
 */
export function freezePoint(share: number, glycol: Glycol = 'ethylene'): FreezePoint {
  const value = interpolate(FREEZE_POINTS[glycol], share);
  const [lastShare] = FREEZE_POINTS[glycol].at(-1) ?? [0];
  if (value !== null) return { status: 'value', value };
  return share > lastShare ? { status: 'turns', end: lastShare } : { status: 'beyond', side: 'above', end: 0 };
}

/** Share of glycol, % by volume, of a freeze point, °C: {@link freezePoint} the other way round. */
export function glycolShare(celsius: number, glycol: Glycol = 'ethylene'): TableValue {
  const byFreeze = [...FREEZE_POINTS[glycol]].reverse().map(([share, freeze]) => [freeze, share] as const);
  const value = interpolate(byFreeze, celsius);
  const [lowest, mostShare] = byFreeze[0] ?? [0, 0];
  if (value !== null) return { status: 'value', value };
  return celsius < lowest
    ? { status: 'beyond', side: 'above', end: mostShare }
    : { status: 'beyond', side: 'below', end: 0 };
}

/**
 * Litres to drain and refill to raise a system's share of glycol: `V·(c₂−c₁)/(c_p−c₁)`.
 * Example: 7.5 L from 32 to 50 % with neat glycol → 1.99 L.
 *
 * @param systemL whole system, over 0 L
 * @param now share now, wanted and of what is refilled, 0 to 1; now < wanted ≤ refill
 * @returns null when the refill cannot raise the share that far
 */
export function drainToRaise(systemL: number, now: number, wanted: number, refill = 1): number | null {
  if (!(systemL > 0)) throw new RangeError('a system holds more than 0 L');
  if (wanted <= now) return 0;
  return refill >= wanted ? (systemL * (wanted - now)) / (refill - now) : null;
}
