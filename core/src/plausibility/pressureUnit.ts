import { MEASURES } from '../catalogue/measures';
import { UNIT_CHOICES, type HouseUnits } from '../house/houseRules';
import { toStored } from '../units/units';

/** A unit a tyre's pressure is read in. */
export type PressureUnit = HouseUnits['pressure'];

const isLikely = (kpa: number) => {
  const [least, most] = MEASURES.pressure.likely ?? [0, Infinity];
  return kpa >= least && kpa <= most;
};

/**
 * The unit a gauge is likely in that shows `figure` where `own` was meant: 2.2 in a workshop that reads psi is bar, 32 in
 * one that reads bar is psi. Null where the figure is likely as it is, or in none of them.
 */
export function pressureUnitOf(figure: number, own: PressureUnit): PressureUnit | null {
  if (isLikely(toStored(figure, own))) return null;
  return UNIT_CHOICES.pressure.find((unit) => unit !== own && isLikely(toStored(figure, unit))) ?? null;
}
