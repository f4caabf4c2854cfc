import type { Break, CsvStyle, ImportPlan, Storage, TableName, TableStyle } from '@weskopos/contract';

const many = (count: number, one: string, more: string) => `${count} ${count === 1 ? one : more}`;

/** Words of the page Data: what goes out of the workshop, and what comes in. */
export const data = {
  title: 'Data',
  out: 'Take out',
  whole: 'Everything (ZIP)',
  wholeHelp:
    'Every vehicle with its visits, readings, log, rules and photos: JSON lines and CSV that any program reads. No accounts and no PINs.',
  one: 'One vehicle (ZIP)',
  ofVehicle: 'Bundle (ZIP)',
  in: 'Bring in',
  inHelp:
    'A bundle of this or another workshop. What it would do is told first; nothing is written before you say so, and then all of it or nothing.',
  choose: 'Choose a bundle',
  sending: (megabytes: string) => `Sending ${megabytes} MB and looking through it…`,
  taking: 'Writing it down… Others wait for a moment.',
  cancel: 'Leave it',
  of: {
    workshop: 'A whole workshop',
    vehicle: 'One vehicle',
    visit: 'One visit',
  } satisfies Record<ImportPlan['scope']['kind'], string>,
  made: (what: string, day: string) => `${what}, taken out on ${day}.`,
  records: (file: keyof ImportPlan['records'], count: number) =>
    ({
      vehicles: many(count, 'vehicle', 'vehicles'),
      visits: many(count, 'visit', 'visits'),
      entries: many(count, 'log entry', 'log entries'),
      rulebooks: many(count, 'version of the rules', 'versions of the rules'),
      photos: many(count, 'photo', 'photos'),
      signatures: many(count, 'signature', 'signatures'),
    })[file],
  fresh: (what: string) => `New here: ${what}.`,
  same: (what: string) => `Here already, the same: ${what}.`,
  nothingNew: 'Nothing in it is new here.',
  differ: (what: string) => `Here otherwise: ${what}. Ours stays as it is; what is new is taken.`,
  named: {
    vehicles: 'Vehicle',
    visits: 'Visit',
    entries: 'Log entry',
    photos: 'Photo',
    signatures: 'Signature',
  } satisfies Record<ImportPlan['differing'][number]['file'], string>,
  more: (count: number) => `and ${count} more`,
  strangers: (names: string) => `Nobody here is called ${names}. The names stay on what they did; they cannot sign in.`,
  newRules: 'It brings rules of its own. The newest of them are in force from then on.',
  blocked: 'It cannot be taken as it is:',
  blocking: {
    'fleet-code-taken': (name: string) =>
      `Another vehicle here has the fleet code ${name}. Give ours another code first.`,
    'rules-differ': (name: string) =>
      `Version ${name} of the rules is not the same there and here, so its visits would be read by the wrong limits.`,
  } satisfies Record<ImportPlan['blocking'][number]['code'], (name: string) => string>,
  take: 'Take it',
  taken: 'It is taken.',
  wrong: 'It was not taken. Nothing of it is here.',
  line: (field: string, allowed: string) => `${field}: allowed is ${allowed}.`,
  moreFaults: (count: number) => `and ${count} more faults`,
  faults: {
    'bundle-no-zip': 'This is no ZIP archive, or it was cut off on its way.',
    'bundle-truncated': 'An entry of the archive is spoiled.',
    'bundle-name': 'There is an entry in it that no bundle has.',
    'bundle-twice': 'An entry is in it twice.',
    'bundle-too-large': 'It unfolds to more than a bundle can be.',
    'bundle-no-manifest': 'It has no manifest of a Weskopos bundle.',
    'bundle-newer': 'A newer version of Weskopos wrote it. Update this workshop first.',
    'bundle-entry-missing': 'An entry that its manifest names is not in it.',
    'bundle-entry-unnamed': 'An entry in it is not named by its manifest.',
    'bundle-hash': 'An entry is not what its manifest says it is: it was changed or spoiled.',
    'bundle-lines': 'These lines of it cannot be:',
    'import-changed': 'Others worked meanwhile. Choose the bundle again.',
    'import-blocked': 'Others worked meanwhile, and it cannot be taken any more. Choose it again.',
    'import-differs': 'Others worked meanwhile, and some of it is otherwise here now. Choose it again.',
    'storage-full': 'The disk of the server is full.',
  } as Readonly<Record<string, string>>,

  check: 'Check what was signed',
  checkHelp:
    'Looks at every signature, every link between them, and whether visits, rules and photos are still what was signed.',
  checkNow: 'Check now',
  checking: 'Looking at everything that was signed…',
  holds: (signatures: number, photos: number) =>
    signatures === 0
      ? 'Nothing is signed yet.'
      : `All of it holds: ${many(signatures, 'signature', 'signatures')}, ${many(photos, 'photo', 'photos')}.`,
  unsealed: (count: number) =>
    `${many(count, 'visit was', 'visits were')} signed before there were signatures: nothing can be said of them.`,
  breaks: (count: number) => `${many(count, 'thing does', 'things do')} not hold. The first is where to begin.`,
  broken: {
    'document-changed': 'A signed text was changed.',
    'not-by-key': 'A signature was not made with its key.',
    'key-unknown': 'The key of a signature is not known.',
    'one-missing-before': 'A signature before this one is missing.',
    'record-changed': 'A record is not what was signed.',
    'record-gone': 'What was signed is gone.',
    'never-signed': 'A signed visit has no signature.',
    'photo-changed': 'A photo is not the one that was signed.',
    'photo-gone': 'The file of a photo is gone.',
  } satisfies Record<Break['code'], string>,
  brokenAt: (vehicle: string, day: string | null, about: string) =>
    `${vehicle}${day === null ? '' : `, visit of ${day}`}: ${about}`,

  backup: 'Backup',
  backupHelp: (folder: string) =>
    `Made once a day and checked, into ${folder} on the server. Best on another disk than the data’s.`,
  backupNow: 'Back up now',
  backingUp: 'Backing up…',
  last: (when: string, size: string) => `The last: ${when}, ${size}.`,
  noneYet: 'There is none yet.',
  photosBeside: (size: string) => `Photos beside all of them, each once: ${size}.`,
  older: (count: number) => `${many(count, 'older one is', 'older ones are')} kept.`,
  failed: (when: string, why: string) => `The backup failed on ${when}: ${why}`,
  alarm: 'No backup for days',
  alarmFailed: 'The backup failed',
  alarmWhy: 'Should the server’s disk break, what was done since would be lost.',
  room: 'Room on the server',
  takes: {
    database: 'Database',
    journal: 'Journal',
    checkpoints: 'Copies of the database',
    photos: 'Photos',
    imports: 'What was brought in',
  } satisfies Record<keyof Storage['room'], string>,

  tables: 'Tables (CSV, XLSX)',
  tablesHelp: 'One row each, figures with their unit beside them. What a spreadsheet would run is defused.',
  units: 'Units',
  unitsOf: { stored: 'As stored (SI)', house: 'As we read' } satisfies Record<TableStyle['units'], string>,
  format: 'File',
  formats: { csv: 'CSV', xlsx: 'Spreadsheet' } satisfies Record<TableStyle['format'], string>,
  whichTable: 'Table',
  table: {
    vehicles: 'Vehicles',
    visits: 'Visits',
    findings: 'Findings',
    readings: 'Readings',
    'readings-wide': 'Readings, a row a visit',
    jobs: 'Jobs',
    log: 'Log',
    forecasts: 'Forecasts',
  } satisfies Record<TableName, string>,
  separator: 'Between columns',
  separators: { comma: 'Comma', semicolon: 'Semicolon', tab: 'Tab' } satisfies Record<CsvStyle['separator'], string>,
  decimal: 'Decimals',
  decimals: { point: '3.5', comma: '3,5' } satisfies Record<CsvStyle['decimal'], string>,
  bom: 'Mark at the beginning',
  boms: { no: 'None', yes: 'For spreadsheets' } satisfies Record<CsvStyle['bom'], string>,
  saveTable: 'Save the table',
};
