export { UNITS, fromStored, toStored, type Quantity, type Unit } from './units/units';
export { parseMeasure, type ParsedMeasure } from './units/parseMeasure';
export { MEASURES, MEASURE_CODES, type Measure, type MeasureCode } from './catalogue/measures';
export { VOCABULARIES, WORDS, type Vocabulary, type Word } from './catalogue/words';
export {
  COMMON_FLUIDS,
  FLUIDS,
  LEAK_PLACES,
  LEAK_REACHES,
  LEAK_STAGES,
  type Fluid,
  type LeakObservation,
  type LeakPlace,
  type LeakReach,
  type LeakStage,
} from './catalogue/leaks';
export {
  CATALOGUE,
  CATALOGUE_VERSION,
  POINT_CODES,
  cataloguePoint,
  isPointCode,
  pointKey,
  type CataloguePoint,
  type PointCode,
  type Spot,
  type Station,
} from './catalogue/points';
export {
  VEHICLE_CLASSES,
  axleAt,
  hubPlaces,
  oppositePlace,
  tyresAtHub,
  type Axle,
  type Place,
  type Vehicle,
  type VehicleClass,
} from './vehicle/vehicle';
export {
  ACCESS,
  ACCESS_REASONS,
  ARRIVAL_STATES,
  METER_ANSWERS,
  contentOf,
  nextFinding,
  readingAt,
  readingValue,
  type Access,
  type AccessReason,
  type ArrivalState,
  type Finding,
  type FindingChange,
  type Inspection,
  type MeterAnswer,
  type Phase,
  type Reading,
} from './inspection/finding';
export { currentFindings, type CurrentFindings } from './inspection/currentFindings';
export { vehiclePoints, walkSteps, type PointRef, type WalkStep } from './inspection/walkSteps';
export {
  limitRows,
  valueThresholds,
  type Basis,
  type LimitKind,
  type LimitRow,
  type LimitSheet,
  type Threshold,
} from './limits/limitSheet';
export { BASELINE } from './limits/baseline';
export { tapeThresholds } from './limits/tapeThresholds';
export { GRADES, worseGrade, worstGrade, type Grade } from './grading/grade';
export { gradePoint, gradeAtSpot, type GradingContext } from './grading/gradePoint';
export { judgeValue, type Judgement } from './grading/judgeValue';
export { PLACARD_TEMPERATURE_C, pressureAtReference, pressureFromReference } from './grading/pressureAtReference';
export { CLOSE_CALL_FACTOR, standardUncertainty } from './grading/uncertainty';
export { verdictOf, worstFirst, type GradedPoint, type Verdict } from './grading/verdict';
export type { PointGrade, Reason } from './grading/reason';
export { doubtId, doubtsAbout, impossibleIn, type Doubt, type Impossible } from './plausibility/checkFinding';
export { METER_RANGE_KM, checkMeter, type MeterCheck } from './plausibility/checkMeter';
export { crossingOf, fitLine, lineAt, type Crossing, type LineFit } from './trends/leastSquares';
export { expectedAt, forecastOf, type Forecast } from './trends/forecast';
export {
  readingsOfCurrentPart,
  seriesKey,
  seriesOf,
  type Series,
  type SeriesReading,
  type VisitRecord,
} from './trends/series';
export { travelledKm } from './trends/travelled';
export { composeReport, forecastSeries, runOutOf, verdictFor, type Report } from './report/composeReport';
export { normalDraw, randomUuid, seededRandom } from './simulator/random';
export { gaugeReads, wornTo, type WearTruth } from './simulator/wear';
