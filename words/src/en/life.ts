import type { JobCode, LeakSpot, LifeEntryKind, LoggedFluid, PartKind } from '@weskopos/core';

export const spotFate = {
  watched: 'Watched.',
  closed: 'Stayed dry twice after wiping: closed.',
  worse: 'Two stages worse than at its best.',
} satisfies Record<LeakSpot['fate'], string>;

/** What wears, said of one place, and of all of its kind. */
export const wearOf = { tread: 'The tyre', lining: 'The pad', shoe: 'The shoe', disc: 'The disc', brake: 'The brake' };
export const kindWears = {
  tread: 'The tyres wear',
  lining: 'The pads wear',
  shoe: 'The shoes wear',
  disc: 'The discs wear',
  brake: 'The brakes wear',
};
export const allWears = 'Tyres and brakes wear';
/** What to look at when all of it wears faster, one part, or one place across a part. */
export const wearReason = {
  all: 'Another driver, route or load?',
  tread: 'Geometry, pressure, or another tyre than before?',
  brake: 'Does the calliper drag or the slide stick?',
  treadSpot: 'Is the alignment out, or the pressure?',
  brakeSpot: 'Does a pin or a slide stick?',
};

/** What to look at when more is used. */
export const usesMore = {
  fuel: 'Brakes that drag, pressures, another load or route?',
  oil: 'A leak, or does it burn it? Look at the exhaust and under it.',
};

export const partKind = {
  tyre: 'Tyre',
  pads: 'Pads',
  shoes: 'Shoes',
  disc: 'Disc',
  battery: 'Battery',
  belt: 'Belt',
  filter: 'Filter',
} satisfies Record<PartKind, string>;

export const loggedFluid = {
  'engine-oil': 'Engine oil',
  coolant: 'Coolant',
  'brake-fluid': 'Brake fluid',
  washer: 'Washer fluid',
  urea: 'Urea solution',
} satisfies Record<LoggedFluid, string>;

export const entryKind = {
  fuel: 'Fuel',
  'top-up': 'Top-up',
  meter: 'Meter',
  job: 'Job done',
  'not-known': 'Not known',
  fit: 'New part',
  rotate: 'Rotate tyres',
  misread: 'Misread',
  plan: 'Coming trip',
  work: 'Work',
  'work-step': 'Work',
  'work-cost': 'Work',
  undo: 'Taken back',
} satisfies Record<LifeEntryKind, string>;

/** Jobs that trends begin anew at, offered beside those of the spec sheet. */
/** Jobs by their codes; one of the workshop's own is told by its name. */
export const job = {
  'engine-oil': 'Engine oil',
  'oil-filter': 'Oil filter',
  'air-filter': 'Air filter',
  'cabin-filter': 'Cabin filter',
  'fuel-filter': 'Fuel filter',
  'spark-plugs': 'Spark plugs',
  coolant: 'Coolant',
  'brake-fluid': 'Brake fluid',
  'gearbox-oil': 'Gearbox oil',
  'transfer-oil': 'Transfer box oil',
  'axle-oil': 'Axle oil',
  'hydraulic-oil': 'Hydraulic oil',
  'timing-belt': 'Timing belt',
  'auxiliary-belt': 'Auxiliary belt',
  battery: 'Battery',
  'key-cell': 'Key cell',
  wipers: 'Wiper rubbers',
  tyres: 'Tyres',
  rotation: 'Rotation of the wheels',
  alignment: 'Alignment',
  greasing: 'Greasing',
  'wheel-bolts': 'Wheel bolts torqued again',
  own: 'A job of your own',
} satisfies Record<JobCode, string>;

/** Kinds of wear as the score tells them. */
export const wearKind: Readonly<Record<string, string>> = {
  tread: 'Tyre tread',
  lining: 'Brake pads',
  shoe: 'Brake shoes',
  disc: 'Brake discs',
  water: 'Brake fluid',
  crank: 'Batteries',
};

export const naive = {
  'last-two': 'a line through the last two readings',
  line: 'a line through all readings',
  'line-from-new': 'a line from new through all readings',
  'fleet-life': 'the fleet’s average life',
};

export const rotationPattern = {
  'same-side': 'front to rear, same side',
  'forward-cross': 'forward cross',
  'rearward-cross': 'rearward cross',
  x: 'X',
  'with-spare': 'with the spare',
};
