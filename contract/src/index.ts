export { deviceSchema, type Changed, type LiveEvent, type Presence } from './live';
export {
  flatLifeEntry,
  lifeEntryFrom,
  lifeEntrySchema,
  lifeEntryTable,
  storedLifeEntrySchema,
  type StoredLifeEntry,
} from './records/lifeEntry';
export { fleetBoardSchema, fleetKnowledgeSchema, scorecardSchema, type FleetBoard, type Scorecard } from './fleet';
export { actFrom, actSchema, actTable, flatAct, storedActSchema, type StoredAct } from './records/act';
export { idSchema, instantSchema } from './records/shapes';
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
export { inspectionSchema, inspectionTable, visitSchema, type Arrival, type Visit } from './records/inspection';
export { amendmentTable, liftSheet, type AmendmentPut, type StoredAmendment } from './records/signedSheet';
export {
  OPERATION_RECORDS,
  liftOperation,
  operationBatchSchema,
  operationOutcomeSchema,
  operationSchema,
  upgradeOperation,
  type Operation,
  type OperationBody,
  type OperationKind,
  type OperationOutcome,
} from './operation';
export {
  PERSON_STATES,
  ROLES,
  deviceSessionSchema,
  memberSchema,
  newPersonSchema,
  onceSchema,
  ownSecretSchema,
  personChangeSchema,
  personSchema,
  setupSchema,
  signInSchema,
  type DeviceSession,
  type Member,
  type Person,
  type PersonState,
  type Role,
} from './person';
export { fieldErrorSchema, fieldErrors, problemSchema, type FieldError, type Problem } from './problem';
export {
  liftLife,
  liftVisit,
  lifeSchema,
  standingSchema,
  visitSummarySchema,
  yardEntrySchema,
  type Life,
  type VisitSummary,
  type YardEntry,
} from './life';
export { reportSchema, trendSchema, type ReportData, type Trend } from './trend';
export { ENDPOINTS, type Access, type AnswerOf, type BodyOf, type Endpoint, type ParamsOf } from './endpoints';
export {
  AUDIT_CSV_PATH,
  BUNDLE_PATHS,
  DOORS,
  GUARD_HEADER,
  ALL_WORKS,
  CALENDAR_PATH,
  LIVE_PATH,
  MOST_OPERATIONS,
  OPERATION_VERSIONS,
  PHOTO_LIMITS,
  LINK_PATH,
  PHOTO_PATH,
  REFUSALS,
  isProblem,
  type EndpointName,
  type Refusal,
} from './device';
export {
  BREAKS,
  BUNDLE_FORMAT,
  BUNDLE_LINES,
  BUNDLE_RECORDS,
  BUNDLE_VERSION,
  MANIFEST,
  importPlanSchema,
  liftLine,
  manifestSchema,
  verifiedSchema,
  type Break,
  type BundleFile,
  type BundleLine,
  type BundleScope,
  type EntryLine,
  type ImportPlan,
  type KeyLine,
  type Manifest,
  type PhotoLine,
  type RulebookLine,
  type SignatureLine,
  type Verified,
  type VisitLine,
} from './bundle';
export {
  AUDITED,
  MOST_AUDIT_LINES,
  TOKEN_SCOPES,
  type AuditAnswer,
  type AuditLine,
  type Audited,
  type Token,
  type TokenScope,
} from './audit';
export { CALENDARS_OF, newCalendarSchema, type Calendar, type CalendarOf } from './calendars';
export { priceListSchema } from './prices';
export { paperStyleSchema, type PaperStyle } from './paper';
export { LANGUAGES, PDF_PATH, SHEET_SIZES, WORDINGS, type Language, type SheetSize, type Wording } from './paperNames';
export { LINK_DAYS, MOST_ANSWER, letterSchema, type KeeperLink, type Letter } from './links';
export { alarmSchema, storageSchema, type Alarm, type BackupSet, type Storage } from './backup';
export { tableStyleSchema } from './tables';
export {
  MOST_COLUMNS,
  sheetLookSchema,
  sheetPlanSchema,
  sheetReadingSchema,
  type FileRead,
  type SheetLook,
  type SheetPlan,
  type SheetTaking,
} from './sheets';
export { ENCODINGS, SHEET_PROBLEMS, SHEET_SEPARATORS, SHEETS_PATH, type SheetProblem } from './sheetNames';
export {
  BOMS,
  DECIMAL_MARKS,
  SEPARATORS,
  TABLES,
  TABLES_PATH,
  TABLE_FORMATS,
  TABLE_UNITS,
  type CsvStyle,
  type TableName,
  type TableStyle,
} from './tableNames';
