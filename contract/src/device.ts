/** What a device needs to start: where to knock, what to send along. A door of its own, so that no shape is loaded for it. */
export {
  ALL_WORKS,
  AUDIT_CSV_PATH,
  CALENDAR_PATH,
  BUNDLE_PATHS,
  DOCS_PATH,
  DOORS,
  GUARD_HEADER,
  LINK_PATH,
  LIVE_PATH,
  PHOTO_PATH,
  type EndpointName,
} from './doors';
export { MOST_OPERATIONS, OPERATION_VERSIONS, REFUSALS, type Refusal } from './operationKinds';
export { isProblem } from './isProblem';
export { PHOTO_LIMITS } from './photoLimits';
export { LEAST_SECRET } from './leastSecret';
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
export { ENCODINGS, SHEET_PROBLEMS, SHEET_SEPARATORS, SHEETS_PATH, type SheetProblem } from './sheetNames';
export { LANGUAGES, PDF_PATH, SHEET_SIZES, WORDINGS, type Language, type SheetSize, type Wording } from './paperNames';
