import type { BrakeFluidGrade } from '../vehicle/specSheet';

/** Boiling points, °C: dry minimum and, at 3.7 % water, wet minimum (49 CFR 571.116). */
const MINIMA_C: Record<BrakeFluidGrade, readonly [dry: number, wet: number]> = {
  'DOT 3': [205, 140],
  'DOT 4': [230, 155],
  'DOT 5.1': [260, 180],
};
const WET_SHARE = 3.7;

/**
 * Boiling point, °C, a fluid at its minima has with this much water: a straight line from dry to wet. An estimate,
 * shown and never graded. Example: DOT 4 with 2.0 % → 189 °C.
 *
 * @param water % by volume, 0 to 3.7
 * @returns null beyond the wet point, where the line says nothing
 */
export function boilingFromWater(grade: BrakeFluidGrade, water: number): number | null {
  if (!(water >= 0 && water <= WET_SHARE)) return null;
  const [dry, wet] = MINIMA_C[grade];
  return dry - ((dry - wet) * water) / WET_SHARE;
}
