export { LIVE_PATH, deviceSchema, type Changed, type LiveEvent, type Presence } from './live';
export {
  flatLifeEntry,
  lifeEntryFrom,
  lifeEntrySchema,
  lifeEntryTable,
  storedLifeEntrySchema,
  type StoredLifeEntry,
} from './records/lifeEntry';
export {
  fleetBoardSchema,
  fleetKnowledgeSchema,
  scorecardSchema,
  type BoardPart,
  type FleetBoard,
  type Scorecard,
  type VehicleBoard,
} from './fleet';
export { actFrom, actSchema, actTable, flatAct, storedActSchema, type StoredAct } from './records/act';
export { idSchema, instantSchema } from './shapes';
export { plainVehicleSchema, specSchema, vehicleSchema, vehicleTable } from './records/vehicle';
export { rulebookPreviewSchema, rulebookSchema, type RulebookPreview } from './records/rulebook';
export { NewerRecord, lift } from './records/record';
export type { AnyTable, Column, ColumnType, Field, Group, List, Table } from './records/table';
export {
  findingSchema,
  findingTable,
  leakSchema,
  readingSchema,
  storedFindingSchema,
  type StoredFinding,
} from './records/finding';
export { blankInspection, inspectionSchema, inspectionTable, visitSchema, type Visit } from './records/inspection';
export {
  MOST_OPERATIONS,
  OPERATION_RECORDS,
  REFUSALS,
  liftOperation,
  operationBatchSchema,
  operationOutcomeSchema,
  operationSchema,
  upgradeOperation,
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
