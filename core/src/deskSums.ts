/** Sums that only the bench page uses: a door of their own, so that the walk loads without them. */
export { seasonOrLeak, type TyreLoss, type TyrePressure } from './calculators/seasonOrLeak';
export { GLYCOLS, drainToRaise, freezePoint, glycolShare, type Glycol, type TableValue } from './limits/glycol';
export { fuelUse, mpgToLitresPer100Km, type FuelFill, type FuelStretch } from './calculators/fuelUse';
export { dueOf, type DueAnswer, type DueQuestion } from './calculators/due';
export {
  CORNERS,
  ROTATION_PATTERNS,
  rotationOf,
  type Corner,
  type RotationAnswer,
  type RotationPattern,
  type RotationQuestion,
} from './calculators/rotation';
export { FILTER_MISFITS, filterFit, type FilterFitQuestion, type FilterMisfit } from './calculators/filterFit';
export { partLeft, type PartLeft } from './calculators/partLeft';
