/** Sums that only the bench page uses: a door of their own, so that the walk loads without them. */
export { seasonOrLeak, type TyreLoss, type TyrePressure } from './bench/seasonOrLeak';
export { GLYCOLS, drainToRaise, freezePoint, glycolShare, type Glycol, type TableValue } from './bench/glycol';
export { fuelUse, mpgToLitresPer100Km, type FuelFill, type FuelStretch } from './bench/fuelUse';
export { dueOf, type DueAnswer, type DueQuestion } from './bench/due';
export {
  CORNERS,
  ROTATION_PATTERNS,
  rotationOf,
  type Corner,
  type RotationAnswer,
  type RotationPattern,
  type RotationQuestion,
} from './bench/rotation';
export { FILTER_MISFITS, filterFit, type FilterFitQuestion, type FilterMisfit } from './bench/filterFit';
export { partLeft, type PartLeft } from './bench/partLeft';
export { stickerOf, type NextDue, type Sticker } from './report/stickerOf';
