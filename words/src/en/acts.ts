import type {
  Debris,
  EndKind,
  GateQuestion,
  Need,
  OilStep,
  OpeningProblem,
  ProofDoubtCode,
  ProofField,
  StateChange,
  WaitKind,
} from '@weskopos/core';

/** States a reading is true in. */
export const need = {
  'never-started-today': 'an engine that has not run today',
  'off-cold': 'a cold engine, off',
  'off-rested': 'two hours without the engine',
  'off-warm': 'a warm engine, off',
  'off-settled': 'an engine off for ten minutes',
  'key-on': 'the key on',
  running: 'the engine running',
  'running-hot': 'the engine running and hot',
  'tray-off': 'the undertray off',
  'wheel-hanging': 'the wheel hanging',
  'wheel-off': 'the wheel off',
  helper: 'a helper',
  ground: 'the vehicle on its wheels',
} satisfies Record<Need, string>;

export const stateChange = {
  'key-on': 'Key on',
  'engine-start': 'Engine started',
  'engine-off': 'Engine off',
  'lift-up': 'Lifted',
  'lift-down': 'On its wheels',
  'helper-here': 'Helper here',
  'helper-gone': 'Helper gone',
  'stands-checked': 'Stands seated, vehicle shaken',
  'coolant-cool': 'Coolant read under 40 °C, on hose or tank',
} satisfies Record<StateChange, string>;

export const wait = {
  drain: 'Draining',
  flush: 'Flushing',
  settle: 'Settling',
  'warm-up': 'Warming up',
  'cool-down': 'Cooling down',
  'hub-heat': 'Hubs after the road test',
  'battery-rest': 'Battery resting',
  drops: 'Counting drops',
  'axle-run': 'Thick oil running along the axle',
} satisfies Record<WaitKind, string>;

export const gate = {
  oil: 'Oil on the stick?',
  coolant: 'Coolant present?',
  belts: 'Belts on and whole?',
  dry: 'Ground dry under it?',
} satisfies Record<GateQuestion, string>;

/** Over a drawn stick or bottle. */
export const gateTitle = {
  oil: 'Oil',
  coolant: 'Coolant',
  belts: 'Belts',
  dry: 'Ground',
} satisfies Record<GateQuestion, string>;

export const end = {
  'filler-cap': 'Oil filler cap off',
  'oil-stick': 'Oil stick out',
  'drain-plug': 'Drain plug out',
  'oil-filter': 'Oil filter off',
  'oil-fill': 'Engine oil to fill',
  'coolant-cap': 'Coolant cap off',
  'brake-cap': 'Brake fluid cap off',
  'coolant-drain': 'Coolant drained',
  'axle-fill-plug': 'Axle fill plug out',
  'axle-plug': 'Axle drain plug out',
  'gearbox-fill-plug': 'Gearbox fill plug out',
  'gearbox-plug': 'Gearbox drain plug out',
  'transfer-fill-plug': 'Transfer box fill plug out',
  'transfer-plug': 'Transfer box drain plug out',
  'fuel-filter': 'Fuel filter off',
  brake: 'Brake apart',
  tray: 'Undertray off',
  cover: 'Cover off',
  wheel: 'Wheel off',
  clip: 'Clip off',
  key: 'Key out',
  funnel: 'Funnel in',
  jack: 'Jack under',
  'battery-clamp': 'Battery clamp off',
  'codes-cleared': 'Codes cleared, to be read again',
  indicator: 'Service indicator to reset',
} satisfies Record<EndKind, string>;

export const proof = {
  torqueNm: 'Torque',
  litres: 'Litres put in',
  level: 'Level afterwards',
  fasteners: 'Fasteners back in',
  washer: 'Washer',
  oldSealSeen: 'Old seal came off with the filter',
  onGround: 'Tightened on the ground, crosswise',
  angleDone: 'Turned on by the angle',
  renewed: 'Renewed, as the spec sheet wants',
  primed: 'Fuel pumped up and the air let out',
  seenTo: 'Seen to',
  debris: 'On the magnet of the plug',
  marked: 'Paint mark across, or date and initials on it',
  partNumber: 'Part number, or what went in',
} satisfies Record<ProofField, string>;

/** What is seen to where a closing is proved by that: the button says it. */
export const seenTo: Readonly<Partial<Record<EndKind, string>>> = {
  'axle-fill-plug': 'Filled until it ran out in a thread, then to a drip',
  'gearbox-fill-plug': 'Filled until it ran out in a thread, then to a drip',
  'transfer-fill-plug': 'Filled until it ran out in a thread, then to a drip',
  brake: 'Together again, pedal pumped until it is hard',
  key: 'Key back in hand',
  jack: 'Jack out from under',
  'battery-clamp': 'Clamp does not turn by hand',
  'codes-cleared': 'Read again after clearing',
  indicator: 'The dash shows the new interval',
};

export const debris = {
  nothing: 'Nothing',
  fuzz: 'Grey fuzz',
  pieces: 'Pieces',
} satisfies Record<Debris, string>;

export const openingProblem = {
  'fill-plug-first': 'Fill plug first: what is let out must go in again, and a seized plug is found too late.',
  'other-side-apart': 'The other side is apart. One side at a time: the whole one shows how it goes together.',
} satisfies Record<OpeningProblem, string>;

export const proofDoubt = {
  'torque-off': 'Far from the spec sheet',
  'over-capacity': 'More than the spec sheet’s capacity',
  'under-capacity': 'Far less than the spec sheet’s capacity: is the rest still in the can?',
  'level-off': 'Not between the marks: top up or draw off, or say that it is so',
  'fasteners-missing': 'Not all fasteners are back',
  'washer-reused': 'This workshop always fits a new washer',
  'seal-not-seen': 'The old seal may still sit on the flange: look before it runs',
  'not-renewed': 'The spec sheet wants new ones each time',
  'pieces-found': 'Pieces on the magnet: find out where they come from before it runs',
} satisfies Record<ProofDoubtCode, string>;

export const oilStep = {
  warm: 'Warm the engine, so that it drains well',
  'cap-off': 'Filler cap off',
  drain: 'Drain plug out',
  'filter-off': 'Filter off',
  'filter-on': 'New filter on',
  'plug-in': 'Plug in, with its washer',
  fill: 'Fill in stages',
  'cap-on': 'Filler cap on',
  run: 'Run it; count until the oil lamp goes out',
  'leak-check': 'Look at every joint that was touched',
  settle: 'Engine off, let it settle',
  stick: 'Read the stick, top up, close the filling',
  reset: 'Reset the indicator',
} satisfies Record<OilStep, string>;

/** What the route has done to the vehicle between looks. */
export const routeAct = {
  'engine-start': 'Start the engine',
  'engine-stop': 'Engine off',
  'last-start': 'Start it for the leak check',
  'last-stop': 'Engine off, let it settle',
  'oil/drain': 'Drain the oil',
  'oil/filter': 'Oil filter',
  'oil/plug': 'Drain plug in',
  'oil/fill': 'Fill the oil',
  'coolant/fill': 'Coolant back in',
  'tray/off': 'Undertray off',
  'tray/on': 'Undertray back on',
} as const;
