import type {
  BatteryType,
  Body,
  HouseChoice,
  HouseQuestion,
  LeakGrade,
  LimitKind,
  NotJudged,
  Offered,
  UnitQuestion,
  WordGrade,
} from '@weskopos/core';

export const house = {
  fluidChange: 'When a fluid or filter is changed',
  hardUse: 'Hard-use vehicles',
  liningAs: 'Lining is told',
  treadAs: 'Tread is told by',
  lowBrakeFluid: 'Low brake fluid with worn pads',
  drainWasher: 'Drain-plug washer',
  filterTightness: 'Spin-on filter',
  dipstickWhileFilling: 'Dipstick while filling',
  oilTarget: 'Oil level target',
  draining: 'Draining',
  bestTyres: 'Best tyres',
  rotation: 'Rotation',
  dampSeal: 'A damp seal that does not drip',
  nearLimit: 'Judging near a limit',
  positionWords: 'Wheel positions are called',
  traffic: 'Traffic keeps to the',
  beginWith: 'Where to begin',
} satisfies Record<HouseQuestion, string>;

export const school: { readonly [Q in HouseQuestion]: Record<HouseChoice<Q>, string> } = {
  fluidChange: {
    earlier: 'the earlier of maker’s interval and house cap',
    maker: 'maker’s interval',
    condition: 'on condition only',
  },
  hardUse: { shortened: 'interval shortened by the factor', same: 'same interval' },
  liningAs: { mm: 'in millimetres', percent: 'in percent of new', steps: 'by gauge steps' },
  treadAs: { gauge: 'gauge at three places', bars: 'wear bars only' },
  lowBrakeFluid: { leave: 'leave it, it comes back with new pads', 'top-up': 'top up' },
  drainWasher: { new: 'always new', reuse: 'reused when it looks good' },
  filterTightness: { 'half-turn': 'contact plus half a turn', torque: 'torque of the spec sheet' },
  dipstickWhileFilling: { spec: 'as the spec sheet says', in: 'in', out: 'out' },
  oilTarget: { top: 'at or just under the top mark', middle: 'half way to the top' },
  draining: { warm: 'warm', cold: 'cold' },
  bestTyres: { rear: 'on the rear axle', 'even-out': 'rotated to even out wear' },
  rotation: { 'by-drive': 'by drive and tyre', none: 'none' },
  dampSeal: { watch: 'watch: wiped, looked at again', advisory: 'advisory at once' },
  nearLimit: { plain: 'plain, close calls read again', guarded: 'guarded: pass only when clear of it' },
  positionWords: { kerb: 'nearside, offside', 'left-right': 'left, right', driver: 'driver, passenger side' },
  traffic: { left: 'left', right: 'right' },
  beginWith: { cold: 'cold gate, bonnet, cabin, wheels, underside', under: 'underside first', cabin: 'cabin first' },
};

export const unitQuestion = {
  pressure: 'Pressure',
  tread: 'Tread',
  distance: 'Distance',
  temperature: 'Temperature',
  volume: 'Volume',
  torque: 'Torque',
} satisfies Record<UnitQuestion, string>;

export const limitKind = {
  value: 'the reading',
  spread: 'most less least across one tyre',
  across: 'left against right',
  'inner-outer': 'inner against outer pad',
  'front-rear': 'front against rear',
  'mixture-freeze': 'kelvin the mixture’s freeze point lies above the lowest temperature to expect',
  twins: 'against the other of a pair',
  'placard-share': 'share off the placard, at 20 °C',
  'over-minimum': 'above the stamped minimum',
  'share-of-new': 'share of new',
  'rated-share': 'share of rated',
  'torque-share': 'share of the torque',
  age: 'years since made',
  'over-design-low': 'kelvin above the lowest temperature to expect',
  'per-12-volts': 'of a 12 V system',
} satisfies Record<LimitKind, string>;

export const leakGrade = { pass: 'pass', watch: 'watch', advisory: 'advisory', fail: 'fail' } satisfies Record<
  LeakGrade,
  string
>;
export const wordGrade = {
  pass: 'pass',
  recorded: 'recorded',
  advisory: 'advisory',
  fail: 'fail',
} satisfies Record<WordGrade, string>;

export const template: Readonly<Record<string, string>> = {
  full: 'Full',
  interim: 'Interim',
  'cold-gate': 'Cold gate',
  major: 'Major',
  home: 'Seasonal home check',
  minibus: 'Minibus',
  'plant-daily': 'Machine, daily',
  'plant-weekly': 'Machine, weekly',
  'plant-hours': 'Machine, by hours',
  'pre-purchase': 'Before buying',
  return: 'Return visit',
  'first-fourteen': 'Short walk',
};

/** What each kind of visit is for: two of one length differ by that. */
export const templateFor: Readonly<Record<string, string>> = {
  full: 'Everything the vehicle has, once a year or when it is new to you',
  interim: 'What wears and what the law asks, between two full ones',
  'cold-gate': 'Only what must be seen before it is started',
  major: 'As full, and the ages of what is renewed by time',
  home: 'What a keeper sees to at home, spring and autumn',
  minibus: 'As full, with lift, ramp, tie-downs and doors',
  'plant-daily': 'Before a machine works',
  'plant-weekly': 'Once a week, with its grease points',
  'plant-hours': 'When its hours are due',
  'pre-purchase': 'Before it is bought: nothing is carried from before',
  return: 'Only what the last visit asked to see again',
  'first-fourteen': 'Walk round it, nothing is taken off',
};

export const notJudged = {
  'not-measured': 'nothing seen wrong, but not measured',
  'no-torque': 'the spec sheet has no torque for it',
  'no-row': 'the limit sheet has no limit for it',
  'no-placard': 'the spec sheet has no placard pressure to judge by',
  'tyre-not-cold': 'the tyre was not cold and its temperature was not read',
  'no-temperature': 'without the ambient temperature it is not judged',
  'no-minimum': 'the spec sheet has no minimum for this disc',
  'no-new-value': 'the spec sheet has no new value to take a share of',
  'no-rated-value': 'the spec sheet has no rated current',
  'other-standard': 'measured by another test standard than rated',
  'mixture-turns': 'with so much glycol the freeze point rises again; no table tells it',
  'not-charged': 'the battery was not at rest with 12.4 V or more',
} satisfies Record<NotJudged, string>;

export const ruleProblem: Readonly<Record<string, string>> = {
  'fail-inside-advisory': 'Fail must lie beyond advisory, on the bad side of it.',
  'no-threshold': 'A row needs at least one limit.',
  'not-a-number': 'A figure is wanted here.',
  'share-range': 'A share, e.g. 0.8 for 80 %.',
  'no-points': 'A template needs at least one point.',
  'code-twice': 'This name is taken.',
  'no-such-sheet': 'There is no sheet of this name.',
  'factor-range': 'Over 0 and at most 1.',
  'own-unnamed': 'A point of your own needs a name.',
  'own-twice': 'Two points of your own have one name.',
  'no-sheet': 'A workshop needs a limit sheet.',
};

export const body = {
  hatchback: 'Hatchback',
  saloon: 'Saloon',
  estate: 'Estate',
  van: 'Van or minibus',
  'pick-up': 'Pick-up',
  box: 'Box lorry',
  flatbed: 'Flat bed',
  bus: 'Bus',
  tractor: 'Tractor',
  set: 'Generator or pump set',
} satisfies Record<Body, string>;

export const makeUp: Readonly<Record<string, string>> = {
  petrol: 'Petrol',
  diesel: 'Diesel',
  hybrid: 'Hybrid',
  electric: 'Electric',
  front: 'Front',
  rear: 'Rear',
  'four-permanent': 'All, always',
  'four-selectable': 'All, when selected',
  manual: 'Manual',
  automatic: 'Automatic',
  'single-speed': 'Single speed',
  hydraulic: 'Hydraulic',
  unassisted: 'Without assistance',
};

export const battery = { flooded: 'Flooded', efb: 'EFB', agm: 'AGM', lithium: 'Lithium' } satisfies Record<
  BatteryType,
  string
>;

/** Which vehicles a template is offered for when one arrives. */
export const offeredTo = {
  label: 'Offered for',
  road: 'Road vehicles',
  plant: 'Machines',
  all: 'All',
  lift: 'A passenger lift',
  nobody: 'None any more',
} satisfies Record<Offered | 'label', string>;
