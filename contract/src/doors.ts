/** Where each exchange between app and server happens: all a device needs to knock; what goes through is in `endpoints.ts`. */
export const DOORS = {
  workshop: { method: 'get', path: '/api/workshop' },
  setup: { method: 'post', path: '/api/setup' },
  signIn: { method: 'post', path: '/api/session' },
  whoAmI: { method: 'get', path: '/api/session' },
  signOut: { method: 'delete', path: '/api/session' },
  people: { method: 'get', path: '/api/people' },
  addPerson: { method: 'post', path: '/api/people' },
  changePerson: { method: 'post', path: '/api/people/:id' },
  resetSecret: { method: 'post', path: '/api/people/:id/once' },
  changeSecret: { method: 'post', path: '/api/session/secret' },
  looked: { method: 'post', path: '/api/session/looked' },
  sessions: { method: 'get', path: '/api/sessions' },
  endSession: { method: 'delete', path: '/api/sessions/:id' },
  sendOperations: { method: 'post', path: '/api/operations' },
  yard: { method: 'get', path: '/api/yard' },
  life: { method: 'get', path: '/api/vehicles/:id/life' },
  trends: { method: 'get', path: '/api/vehicles/:id/trends' },
  inspection: { method: 'get', path: '/api/inspections/:id' },
  holdPlace: { method: 'post', path: '/api/inspections/:id/place' },
  report: { method: 'get', path: '/api/inspections/:id/report' },
  works: { method: 'get', path: '/api/works' },
  fleetKnowledge: { method: 'get', path: '/api/fleet/knowledge' },
  fleetBoard: { method: 'get', path: '/api/fleet/board' },
  scorecard: { method: 'get', path: '/api/fleet/scorecard' },
  rulebooks: { method: 'get', path: '/api/rulebooks' },
  pdfProgress: { method: 'get', path: '/api/inspections/:id/report-progress' },
  previewRulebook: { method: 'post', path: '/api/rulebooks/preview' },
  takeImport: { method: 'post', path: '/api/imports/:id' },
  dropImport: { method: 'delete', path: '/api/imports/:id' },
  lookAtSheet: { method: 'post', path: '/api/sheets/:id/look' },
  planSheet: { method: 'post', path: '/api/sheets/:id/plan' },
  takeSheet: { method: 'post', path: '/api/sheets/:id' },
  dropSheet: { method: 'delete', path: '/api/sheets/:id' },
  sheetProgress: { method: 'get', path: '/api/sheets/:id' },
  tokens: { method: 'get', path: '/api/tokens' },
  giveToken: { method: 'post', path: '/api/tokens' },
  endToken: { method: 'delete', path: '/api/tokens/:id' },
  audit: { method: 'post', path: '/api/audit' },
  links: { method: 'get', path: '/api/vehicles/:id/links' },
  giveLink: { method: 'post', path: '/api/vehicles/:id/links' },
  endLink: { method: 'delete', path: '/api/links/:id' },
  prices: { method: 'get', path: '/api/prices' },
  putPrices: { method: 'post', path: '/api/prices' },
  calendars: { method: 'get', path: '/api/calendars' },
  giveCalendar: { method: 'post', path: '/api/calendars' },
  endCalendar: { method: 'delete', path: '/api/calendars/:id' },
  blankKeeper: { method: 'post', path: '/api/vehicles/:id/keeper' },
  verify: { method: 'post', path: '/api/verify' },
  storage: { method: 'get', path: '/api/storage' },
  takeBackup: { method: 'post', path: '/api/storage/backups' },
  backupAlarm: { method: 'get', path: '/api/storage/alarm' },
} as const;
/** An endpoint by its name. */
export type EndpointName = keyof typeof DOORS;

/** Photos go up as raw JPEG bytes to `/api/photos/:id` and are the one exchange that is not JSON. */
export const PHOTO_PATH = '/api/photos';

/** Where bundles come from and go to; raw ZIP, no JSON. */
export const BUNDLE_PATHS = {
  workshop: '/api/bundle',
  vehicle: '/api/vehicles/:id/bundle',
  visit: '/api/inspections/:id/bundle',
  imports: '/api/imports',
} as const;

/** Where a keeper's page lies; append the link's token. */
export const LINK_PATH = '/k';
/** Where calendars lie; append the token and `.ics`. */
export const CALENDAR_PATH = '/calendar';

/** The audit list as CSV. */
export const AUDIT_CSV_PATH = '/api/audit.csv';
/** The page that shows the API to who writes programs for it. */
export const DOCS_PATH = '/api/docs';

/** Sent with every change; a form on another site cannot send it. */
export const GUARD_HEADER = 'x-weskopos';

/** Server-sent events of one visit; the one answer that is no JSON document. Append the visit's id. */
export const LIVE_PATH = '/api/live';
/** Who looks at the works of all vehicles listens under it, instead of under a visit. */
export const ALL_WORKS = 'works';
