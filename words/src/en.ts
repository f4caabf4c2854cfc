import { asTable } from './en/asTable';
import { failureWords, refusedWords, storageWords, syncWords } from './en/sync';
import type {
  Access,
  AccessReason,
  ArrivalState,
  Basis,
  Bound,
  Doubt,
  Grade,
  Load,
  MeterAnswer,
  VehicleClass,
} from '@weskopos/core';
import type { Refusal, Role } from '@weskopos/contract';
import * as acts from './en/acts';
import { arrival } from './en/arrival';
import { entryForm } from './en/entries';
import * as observations from './en/observations';
import * as life from './en/life';
import * as points from './en/points';
import * as rules from './en/rules';
import { keeperPage } from './en/keeperPage';
import { paper } from './en/paper';
import { sentences } from './en/sentences';
import { worksTold } from './en/worksTold';

/** Every word of the interface, British English. Another language is another file of this shape. */
export const en = {
  grade: {
    pass: 'Pass',
    advisory: 'Advisory',
    fail: 'Fail',
    'not-seen': 'Not seen',
    recorded: 'Recorded',
  } satisfies Record<Grade, string>,
  ...acts,
  arrival,
  entryForm,
  ...life,
  watch: 'watch',
  corrected: 'corrected',
  point: points.point,
  narrowPoint: points.narrowPoint,
  ownPoint: points.ownPoint,
  system: points.system,
  spot: points.spot,
  measure: points.measure,
  step: asTable({ brake: 'Brake', 'tyre.pressure': 'Pressure' }),
  stop: asTable({ ...points.station, under: 'Underside' }),
  stopShort: asTable({
    cold: 'Cold',
    bonnet: 'Bon',
    cabin: 'Cab',
    walk: 'Walk',
    under: 'Und',
    plant: 'Mach',
    closing: 'Close',
  }),
  deck: asTable({ bonnet: 'Bonnet', wheels: 'Wheels', under: 'Underside' }),
  /** How the two sides are called by each school: near the kerb or not, left or right, the driver's or not. */
  side: {
    kerb: { near: 'nearside', off: 'offside' },
    'left-right': { near: 'left', off: 'right' },
    driver: { near: 'passenger side', off: 'driver side' },
  },
  sideInitial: {
    kerb: { near: 'NS', off: 'OS' },
    'left-right': { near: 'L', off: 'R' },
    driver: { near: 'P', off: 'D' },
  },
  vehicleClass: {
    car: 'Car',
    'light-goods': 'Light goods, to 3.5 t',
    goods: 'Goods, over 3.5 t',
    minibus: 'Minibus, over 8 seats',
    bus: 'Bus',
    plant: 'Machine, counts hours',
  } satisfies Record<VehicleClass, string>,
  state: { cold: 'Stood cold', warm: 'Warm', hot: 'Hot' } satisfies Record<ArrivalState, string>,
  access: { open: '', seen: 'Seen', partly: 'Partly seen', 'not-reached': 'Not reached' } satisfies Record<
    Access,
    string
  >,
  accessReason: {
    'tray-on': 'tray left on',
    seized: 'seized fastener',
    loaded: 'loaded',
    unsafe: 'unsafe',
    'keepers-wish': 'keeper’s wish',
    'not-fitted': 'not fitted',
  } satisfies Record<AccessReason, string>,
  meterAnswer: {
    'meter-replaced': 'Meter was replaced',
    'last-misread': 'Last one was misread',
    'long-trip': 'It really went that far',
  } satisfies Record<MeterAnswer, string>,
  basis: { law: 'law', maker: 'maker', house: 'house' } satisfies Record<Basis, string>,
  ...observations,
  said: sentences,
  paper,
  keeperPage,
  worksTold,
  house: rules.house,
  school: rules.school,
  unitQuestion: rules.unitQuestion,
  limitKind: rules.limitKind,
  leakGrade: rules.leakGrade,
  wordGrade: rules.wordGrade,
  template: rules.template,
  templateFor: rules.templateFor,
  notJudged: rules.notJudged,
  ruleProblem: rules.ruleProblem,
  makeUp: rules.makeUp,
  body: rules.body,
  battery: rules.battery,
  load: { light: 'Light load', full: 'Full load' } satisfies Record<Load, string>,
  bound: { exact: '', over: 'more than', under: 'at most' } satisfies Record<Bound, string>,
  role: { inspector: 'inspector', lead: 'workshop lead' } satisfies Record<Role, string>,
  offeredTo: rules.offeredTo,
  storage: storageWords,
  failure: failureWords,
  sync: syncWords,
  refused: refusedWords,
  refusal: {
    'no-vehicle': 'the vehicle is not known to the workshop',
    'no-inspection': 'the visit is not known to the workshop',
    'already-signed': 'the visit was signed before this arrived',
    'already-there': 'it is there already',
    'no-person': 'nobody is known by that',
    'last-lead': 'the workshop would be left without a lead',
    'no-place': 'the vehicle has no such wheel',
    'fleet-code-taken': 'another vehicle has this fleet code',
    'no-parent': 'the entry it builds on is not known',
    'lead-only': 'only a workshop lead may do this',
    'ends-open': 'something opened is not closed; the loose ends name it',
    'no-end': 'what it closes is not known to the workshop',
    'cannot-be-kept': 'the workshop’s database cannot keep it',
    'not-signed': 'the visit is not signed: what is seen is said in the visit itself',
    voided: 'the visit was given up before this arrived',
    'not-voided': 'the visit counts already',
    'wrong-date': 'its date lies ahead or decades back: set this device’s clock, then send it again',
    'no-entry': 'What it takes back is not known here.',
    'rules-changed': 'somebody else has changed the rules meanwhile; look at them again',
  } satisfies Record<Refusal, string>,
  doubt: {
    'drier-than-last':
      'Less water than last time, and no new brake fluid on record. Was it changed? Write it down as done; or misread?',
    'better-than-last': 'Better than last time. New part, other wheel, rotated or misread?',
    'decimal-slip': 'Far from last time. Is the decimal point in the right place?',
    'unit-slip': 'Hardly a tyre in this unit. Is the gauge in another one?',
    unlikely: 'Hardly ever seen. Is it right?',
    'far-from-next': 'Far deeper than the other places of this tyre. Is the figure right, and at its place?',
    'far-from-partner': 'Very far from the other pad. Were the sides swapped, or one misread?',
    'not-made-yet': 'This week has not come yet. Read the code again?',
  } satisfies Record<Doubt['code'], string>,
  caution: {
    cold: 'Before anyone turns the key. Any ‘no’ here: do not start the engine.',
    bonnet: 'Key out while hands are in. Keep off orange cables.',
    cabin: 'Wheels chocked, parking brake on or in park.',
    walk: 'Wheels chocked. Key on for the lamps only.',
    wheel: 'Stands seated and the vehicle shaken before hands go in.',
    under: 'Never under a vehicle on a jack alone.',
    plant: 'Engine off, implements on the ground, key out.',
    closing: 'Nothing left open, loose, or lying on the engine.',
    law: 'Weskopos helps to inspect. It does not replace the local inspection code, the maker’s instructions or a licensed tester.',
  },
};

/** Every word of the interface; a second language is another table of this shape. */
export type Dictionary = typeof en;
/** The language in use. */
export const words: Dictionary = en;
