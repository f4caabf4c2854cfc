export { LIVE_PATH, deviceSchema, type Changed, type LiveEvent, type Presence } from './live';
export { lifeEntrySchema, storedLifeEntrySchema, type StoredLifeEntry } from './lifeEntry';
export {
  fleetBoardSchema,
  fleetKnowledgeSchema,
  scorecardSchema,
  type BoardPart,
  type FleetBoard,
  type Scorecard,
  type VehicleBoard,
} from './fleet';
export { actSchema, storedActSchema, type StoredAct } from './act';
export { idSchema, instantSchema } from './shapes';
export { plainVehicleSchema, specSchema, vehicleSchema } from './vehicle';
export { rulebookPreviewSchema, rulebookSchema, type RulebookPreview } from './rulebook';
export { upgradeOperation } from './upgrade';
export { findingSchema, leakSchema, readingSchema, storedFindingSchema, type StoredFinding } from './finding';
export { inspectionSchema, visitSchema, type Visit } from './inspection';
export {
  MOST_OPERATIONS,
  REFUSALS,
  operationBatchSchema,
  operationOutcomeSchema,
  operationSchema,
  type Operation,
  type OperationBody,
  type OperationKind,
  type OperationOutcome,
  type Refusal,
} from './operation';
export { ROLES, newPersonSchema, personSchema, setupSchema, signInSchema, type Person, type Role } from './person';
export { fieldErrorSchema, fieldErrors, problemSchema, type FieldError, type Problem } from './problem';
export { lifeSchema, visitSummarySchema, yardEntrySchema, type Life, type VisitSummary, type YardEntry } from './life';
export { reportSchema, trendSchema, type ReportData, type Trend } from './trend';
export {
  ENDPOINTS,
  GUARD_HEADER,
  PHOTO_PATH,
  type Access,
  type AnswerOf,
  type BodyOf,
  type Endpoint,
  type EndpointName,
  type ParamsOf,
} from './endpoints';
export { PHOTO_LIMITS } from './photoLimits';
