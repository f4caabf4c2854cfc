export { UNITS, fromStored, toStored, type Quantity, type Unit } from './units/units';
export { parseMeasure, parseWeekCode, type ParsedMeasure, type ParsedWeek } from './units/parseMeasure';
export { ENGINE_ANSWERS, GLITTER, PAN_ANSWERS } from './catalogue/words';
export { spanAt, specAt } from './catalogue/specAt';
export { asksOfGlitter } from './grading/gradeGlitter';
export { GAUGE_STEPS } from './catalogue/gauges';
export { MEASURES, MEASURE_CODES, namedSteps, type Measure, type MeasureCode } from './catalogue/measures';
export { VOCABULARIES, VOCABULARY_NAMES, WORDS, type Vocabulary, type Word } from './catalogue/words';
export { CRANK_STANDARDS, type CrankStandard, type DashCode } from './vehicle/specSheet';
export {
  CODE_STATES,
  COUNTED_ITEMS,
  HOW_READ,
  LAMPS,
  LAMP_SPOTS,
  SPOTS_OF_LAMP,
  USUAL_LAMPS,
  type CodeState,
  type Count,
  type CountedItem,
  type FaultCode,
  type HowRead,
  type Lamp,
  type LampSpot,
} from './catalogue/counted';
export { FLUID_LOOKS, whichFluid, type FluidGuess, type FluidLook } from './catalogue/whichFluid';
export {
  COMMON_FLUIDS,
  DRY,
  FLUIDS,
  LEAK_PLACES,
  LEAK_REACHES,
  LEAK_STAGES,
  likelyFluids,
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
  mainSlot,
  pointKey,
  soundByEye,
  wordsOffered,
  type PointCode,
} from './catalogue/catalogue';
export {
  CAUTIONS,
  NEEDS,
  SIDES,
  SPOTS,
  STATIONS,
  SYSTEMS,
  type CataloguePoint,
  type Caution,
  type MeasureSlot,
  type Need,
  type Spot,
  type Station,
  type System,
} from './catalogue/points/point';
export {
  BUILT_IN_TEMPLATES,
  OFFERED,
  offeredFor,
  templateBy,
  type Offered,
  type Template,
} from './catalogue/templates';
export {
  HOUSE_CHOICES,
  HOUSE_QUESTIONS,
  UNIT_CHOICES,
  UNIT_QUESTIONS,
  CHANGE_JOBS,
  HOUSE_RANGES,
  type ChangeCap,
  type ChangeJob,
  USUAL_HOUSE_RULES,
  type HouseChoice,
  type HouseQuestion,
  type HouseRules,
  type HouseUnits,
  type UnitQuestion,
} from './house/houseRules';
export { houseUnit } from './house/houseUnit';
export {
  OWN_CODES,
  OWN_LOOK_MOST,
  OWN_NAME_MOST,
  freeOwnPoint,
  isOwnCode,
  type OwnCode,
  type OwnPoint,
  type OwnPoints,
} from './house/ownPoint';
export { OWN_STATIONS, type OwnStation } from './catalogue/points/own';
export { BUILT_IN_RULEBOOK, newestRulebook, rulebookAt, rulesOf, type Rulebook, type Rules } from './rules/rulebook';
export { rulebookProblems, type RulebookProblem } from './rules/rulebookProblems';
export { whatChanges, type GradeChange } from './grading/whatChanges';
export {
  METER_UNITS,
  PLAIN_AXLE,
  VEHICLE_CLASSES,
  axleAt,
  hubPlaces,
  oppositePlace,
  tyresAtHub,
  type Axle,
  type MeterUnit,
  AXLE_NUMBERS,
  type Hub,
  type Place,
  type Side,
  type Vehicle,
  type VehicleClass,
} from './vehicle/vehicle';
export {
  axlePlaceOf,
  hubOf,
  isOnHub,
  isOnRoad,
  isPlace,
  isStored,
  isWheel,
  storedOf,
  placeOf,
  hasPlace,
  isPlaceOf,
  parsePlace,
  type ParsedPlace,
  type Seat,
  type Wheel,
  type Repeats,
} from './vehicle/place';
export { JOB_CODES, jobKey, type Job, type JobCode } from './vehicle/jobs';
export { NAMED_JOBS, jobNamed } from './vehicle/jobNamed';
export {
  BODIES,
  DRIVES,
  ENGINE_PLACES,
  GEARBOXES,
  POWERS,
  STEERINGS,
  USUAL_MAKE_UP,
  bodyOf,
  type Body,
  type MakeUp,
} from './vehicle/makeUp';
export {
  BATTERY_TYPES,
  BLANK_SPEC,
  PLAIN_FLUID,
  PLAIN_TORQUE,
  BRAKE_FLUID_GRADES,
  FASTENERS,
  SPEC_FLUIDS,
  capacityL,
  torqueOf,
  type BatteryType,
  type BrakeFluidGrade,
  type Fastener,
  type SpecFluidName,
  type Pivot,
  type SpecFluid,
  type SpecSheet,
  type SpecTorque,
} from './vehicle/specSheet';
export {
  ACCESS,
  ACCESS_REASONS,
  BOUNDS,
  PHASES,
  contentOf,
  isLookChange,
  nextFinding,
  readingAt,
  readingValue,
  type Access,
  type AccessReason,
  type Bound,
  type Carried,
  type Finding,
  type FindingChange,
  type FindingPhoto,
  type GradeOverride,
  type PhotoMark,
  type Phase,
  type Reading,
} from './inspection/finding';
export {
  ARRIVAL_STATES,
  LOADS,
  METER_ANSWERS,
  type ArrivalState,
  type Inspection,
  type Load,
  type MeterAnswer,
  blankInspection,
  countedVisits,
  isOpen,
  isSigned,
} from './inspection/inspection';
export {
  GATE_QUESTIONS,
  NO_PROOF,
  DEBRIS,
  PROOF_DOUBTS,
  STATE_CHANGES,
  USUAL_WAIT_S,
  WAIT_KINDS,
  WAIT_RANGE_S,
  actsOf,
  type Act,
  type ActContent,
  type ActOf,
  type Debris,
  type EndProof,
  type GateQuestion,
  type ProofDoubtCode,
  type StateChange,
  type WaitKind,
} from './acts/act';
export {
  ENDS_BY_STATION,
  END_KINDS,
  endRule,
  hasEnd,
  isAtAxle,
  isAtWheel,
  isFastened,
  type EndKind,
  type ProofField,
} from './acts/endKinds';
export {
  PROOF_RANGES,
  looseEnds,
  nextFillL,
  openEnds,
  proofDoubts,
  fillTargetL,
  openingProblem,
  proofAsked,
  proofProblems,
  type OpeningProblem,
  type LooseEnd,
  type ProofDoubt,
  type ProofProblem,
} from './acts/looseEnds';
export { remainingS, trustedNow, waitsOf, type ClockAnchor, type Wait } from './acts/waits';
export { unmetNeeds, vehicleState, type VehicleState } from './acts/vehicleState';
export { readable, type Readable } from './acts/readable';
export type { StepAct } from './acts/stepActs';
export type { OilService, OilStep } from './acts/oilService';
export type { ColdGate, GateLine } from './acts/coldGate';
export { type RouteLeg, type RouteProblem } from './route/problem';
export type { RouteInput, VisitRoute } from './route/visitRoute';
export { type UsedWait } from './route/explain';
export { currentFindings, standingOf, type CurrentFindings } from './inspection/currentFindings';
export type { PointRef } from './inspection/pointRef';
export { restOfStop, visitPoints, walkSteps, type WalkPlan, type WalkStep } from './inspection/walkSteps';
export { carriedContent, carriedFrom } from './inspection/carry';
export { renewsPoint } from './report/settledBy';
export { answeredBy, quantityRows, type QuantityRow } from './grading/quantityRows';
export { notToDrive } from './report/notToDrive';
export { watchedPoints } from './grading/watchedPoints';
export {
  BASES,
  SEASONS,
  LEAK_GRADES,
  LIMIT_KINDS,
  WORD_GRADES,
  sheetProblems,
  wordGrade,
  type AppliesTo,
  type Basis,
  type LeakGrade,
  type LimitKind,
  type LimitRow,
  type LimitSheet,
  type Threshold,
  type WordGrade,
} from './limits/limitSheet';
export { rowsFor, valueThresholds, type LimitScope } from './limits/rowsFor';
export { BASELINE, US_LIGHT } from './limits/baseline';
export { GRADES, isWrong, worseGrade, worstGrade, type Grade } from './grading/grade';
export { basisOf, gradePoint, gradeAtSpot } from './grading/gradePoint';
export { placardAt, tyreTemperature, type GradingContext } from './grading/compared';
export { tyreAgeYears } from './grading/tyreAge';
export { judgeValue, type Judgement } from './grading/judgeValue';
export { PLACARD_TEMPERATURE_C, pressureAtReference, pressureFromReference } from './grading/pressureAtReference';
export { entryOf, isOneOf, oneOf, recordOf, typedKeys } from './sums/keyed';
export { CLOSE_CALL_FACTOR, standardUncertainty } from './sums/uncertainty';
export {
  createGrader,
  gradedPoints,
  rollUp,
  verdictFor,
  verdictOf,
  worstFirst,
  type GradedPoint,
  type SystemVerdict,
  type Verdict,
} from './grading/verdict';
export type { NotJudged, PointGrade, Reason } from './grading/reason';
export { impossibleIn, type Impossible } from './plausibility/checkFinding';
export { pressureUnitOf, type PressureUnit } from './plausibility/pressureUnit';
export type { Doubt } from './plausibility/doubts';
export { METER_RANGE, checkMeter, type MeterCheck } from './plausibility/checkMeter';
export { expectedAt, forecastOf, wearLine, type Forecast, type Outlook, type Range } from './trends/forecast';
export { BUILT_IN_FLEET, type FleetKnowledge } from './trends/fleetKnowledge';
export { PROMISED, heldBetween, isNarrow, type HeldUp } from './trends/heldUp';
export {
  URGENCIES,
  WORK_CODES,
  WORK_STEPS,
  type Urgency,
  type WorkCode,
  type WorkContent,
  type WorkPart,
  type WorkReason,
  type WorkCostContent,
  type WorkStepContent,
  type WorkStepKind,
  type WorkTask,
} from './parts/work';
export {
  LOGGED_FLUIDS,
  NO_DETAILS,
  PART_KINDS,
  entriesOf,
  rotationProblem,
  standingEntries,
  toldBy,
  type LifeEntry,
  type LifeEntryContent,
  type LifeEntryKind,
  type JobDetails,
  type LifeEntryOf,
  type LoggedFluid,
  type PartKind,
} from './parts/lifeEntry';
export { changeOfSets, changesOfSets, isChangeOfSets } from './parts/tyreSets';
export { partOfPoint, threadParts, type Part, type PartBook } from './parts/threadParts';
export type { VisitRecord } from './inspection/visitRecord';
export { lastFigure, seriesKey, seriesOf, type Series, type SeriesReading } from './trends/series';
export { travelledByVisit } from './trends/travelled';
export { composeReport, signedSheet, type Report } from './report/composeReport';
export {
  namedRules,
  pointsAmended,
  signedPoints,
  verdictAsSigned,
  verdictOfVisit,
  type Amendment,
  type JudgedRecord,
  type NamedRules,
  type SignedPoint,
  type SignedSheet,
  type ToldRunOut,
} from './report/signedSheet';
export {
  lifeStanding,
  standingSummary,
  type LifeStanding,
  type StandingLife,
  type StandingSummary,
  type StandingVisit,
} from './report/lifeStanding';
export type { Looked, StandingPoint, StillOpen, VehicleStanding } from './report/vehicleStanding';
export { boltsAgainOf, type BoltsAgain } from './jobs/boltsAgain';
export { jobsOf, lastDone, type JobDone, type WorkedVisit } from './jobs/jobsOf';
export { jobAge, type JobAge } from './jobs/jobAge';
export { momentsOf, quantityKey, quantityOf } from './catalogue/quantities';
export { forecastSeries, runOutOf, wearEnd, type Beside, type RunOut } from './trends/runOut';
export { boilingFromWater } from './calculators/brakeFluidBoiling';
export { CHARGED_V } from './vehicle/specSheet';
export { OIL_USED_LIMITS, oilUseGrade, oilUsed, stickToLitres, type StickAdvice } from './calculators/oil';
export { batteryHealth, stateOfCharge, type StateOfCharge } from './calculators/battery';
export { STUD_COUNTS, TORQUE_STAGES, torqueOrder, type StudCount } from './calculators/torqueOrder';
export { dripLoss, dropRate, type DripLoss } from './calculators/drips';
export type { ChangeNote, VehicleOutlook } from './outlook/vehicleOutlook';
export { CHANGE_SCOPES, type ChangeScope } from './wear/rateChange';
export { wearWatch } from './trends/wearWatch';
export type { LeakLook } from './trends/standingLooks';
export type { LeakSpot } from './outlook/leakSpots';
export { seriesFrom, type VisitMoment } from './trends/series';
export {
  FORECAST_MEASURES,
  rawReadings,
  standingLooks,
  type LooksGiven,
  type RawReading,
  type TrendEntry,
} from './trends/standingLooks';
export type { StateTrend } from './states/stateTrends';
export type { AgeForecast } from './states/ageForecast';
export { aheadNotes, lookAheadOf } from './outlook/lookAhead';
export type { AheadNote, LookAhead } from './inspection/aheadNote';
export { peersRate } from './trends/partHistory';
export type { PriceList, PricedPart, UsualTime, WorkCost } from './prices/priceList';
