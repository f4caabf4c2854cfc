import {
  CRANK_STANDARDS,
  FLUID_LOOKS,
  FLUIDS,
  LAMPS,
  LEAK_PLACES,
  WORDS,
  type Caution,
  type CodeState,
  type CountedItem,
  type HowRead,
  type LeakReach,
  type LeakStage,
  type Reason,
  recordOf,
} from '@weskopos/core';
import { spelt } from './spelt';

export const word = spelt(WORDS, {
  'print-worn': 'print worn off',
  'oil-soaked': 'oil-soaked',
  'out-of-line': 'pulley out of line',
  rubbing: 'rubbing on something',
  'both-edge-wear': 'both-edge wear',
  'inner-edge-wear': 'inner-edge wear',
  'outer-edge-wear': 'outer-edge wear',
  'object-stuck': 'object stuck in',
  'against-arrow': 'fitted against its arrow',
  tapered: 'tapered pad',
  'boot-torn': 'dust boot torn',
  'rust-light': 'light rust',
  'rust-pitted': 'pitted by rust',
  'glitter-fine': 'fine glitter',
  'glitter-flakes': 'flakes of metal',
  'pan-clean': 'the pan was clean',
  'pan-not-clean': 'the pan was not clean',
  'fresh-engine': 'first change, or just rebuilt',
  'run-long': 'changed before, not rebuilt',
  'rust-coloured': 'rust-coloured',
  'wrong-colour': 'wrong colour for its type',
  'joint-blowing': 'joint blowing (soot)',
  'seat-wrong': 'sits wrong',
  'rust-surface': 'surface rust',
  'rust-scaling': 'scaling',
  'rust-holed': 'holed',
  'rust-near-mounting': 'within 30 cm of a mounting',
  'not-refitted': 'not refitted by someone before',
  'crack-in-view': 'crack in the field of view',
  'light-blocked': 'no light through',
  'open-kind': 'open',
  'limited-slip': 'limited slip',
  'regen-wanted': 'regeneration wanted',
  'regen-running': 'regenerating: keep working under load',
  'regen-held-back': 'held back: do it parked',
  'regen-overdue': 'flashing: do it parked, do not stop it again',
});

export const fluid = spelt(FLUIDS, {
  'gear-oil': 'gear or axle oil',
  'steering-hydraulic': 'steering hydraulic',
  'brake-fluid': 'brake or clutch fluid',
  washer: 'washer fluid',
  urea: 'urea solution',
  water: 'water (condensate)',
});

export const stageShort = {
  dry: 'Dry',
  stain: 'Stain',
  damp: 'Damp',
  drop: 'Drop',
  drip: 'Drips',
  run: 'Runs',
} satisfies Record<LeakStage, string>;

export const stage = {
  dry: 'Dry',
  stain: 'Stain',
  damp: 'Damp',
  drop: 'Drop forming',
  drip: 'Dripping',
  run: 'Running',
} satisfies Record<LeakStage, string>;

export const reach = {
  nothing: 'nothing',
  exhaust: 'an exhaust',
  brake: 'a brake',
  belt: 'a belt',
} satisfies Record<LeakReach, string>;

export const leakPlace = spelt(LEAK_PLACES, {
  'under-engine': 'under the engine',
  'under-gearbox': 'under the gearbox',
  'under-radiator': 'under the radiator',
  'at-wheel': 'at a wheel',
  'under-tank': 'under the tank',
  'bell-housing': 'bell-housing',
  'pump-weep-hole': 'weep hole of the pump',
});

export const look = {
  colour: spelt(FLUID_LOOKS.colour, {
    'brown-black': 'brown to black',
    'green-blue': 'green or blue',
    'pink-orange': 'pink or orange',
  }),
  feel: spelt(FLUID_LOOKS.feel, {
    'thin-slippery': 'thin, slippery',
    'thick-slippery': 'thick, slippery',
    'sticky-crystals': 'sticky, crystals',
  }),
  smell: spelt(FLUID_LOOKS.smell, { 'burnt-oil': 'burnt oil' }),
  where: spelt(FLUID_LOOKS.where, { wheel: 'at a wheel', tank: 'at the tank' }),
};
export const lookQuestion = { colour: 'Colour', feel: 'Feel', smell: 'Smell', where: 'Where it sits' };

export const lamp: Record<CountedItem, string> = {
  ...spelt(LAMPS, { 'high-brake': 'high brake', 'number-plate': 'number plate' }),
  all: 'all',
};

export const codeState = {
  stored: 'stored',
  pending: 'pending',
  returned: 'came back after clearing',
} satisfies Record<CodeState, string>;

export const howRead = {
  'mark-seen': 'mark seen',
  'cap-off': 'cap off',
  stick: 'on the stick',
  electronic: 'electronic',
} satisfies Record<HowRead, string>;

export const crankStandard = recordOf(CRANK_STANDARDS, String);

export const namedStep: Readonly<Record<string, string>> = {
  none: 'None',
  'just-felt': 'Just felt',
  clear: 'Clear',
  low: 'Low',
  middle: 'Middle',
  high: 'High',
  'at-edge': 'Just drips over the edge',
  'runs-out': 'Runs out',
  'felt-below': 'Felt below the edge',
  'not-felt': 'Not felt',
};

export const atPoint = {
  'key-out': 'Key out, hands clear: the engine must not turn.',
  'hot-cooling': 'Never open a hot or pressurised cooling system.',
  'hot-oil': 'Hot oil and exhaust burn: gloves, sleeves down.',
  'brake-dust': 'Do not blow brake dust about.',
  'fuel-pressure': 'Fuel is under pressure: no sparks, no opening here.',
  'spring-load': 'The spring is under load.',
  'air-bag': 'Air-bag parts only by those trained.',
  'high-voltage': 'Orange cables: look only. Anything more is for those trained.',
  stands: 'Stands seated and the vehicle shaken before hands go in.',
  'oil-skin': 'Used oil harms the skin: gloves.',
  'bolts-again': 'With the vehicle on its wheels; again after 50 to 100 km.',
  collect: 'Old oil and filters go to the collection point, never the drain.',
  'moving-parts': 'Moving parts: hair, sleeves and hands clear.',
} satisfies Record<Caution, string>;

/** What metal in a drained fluid is put down to. */
export const glitterWhy = {
  asked: 'say first whether the pan was clean, and whether it is the first change',
  pan: 'it may come from the pan; drain into a clean one and look again',
  'running-in': 'running in sheds some; change it and look again',
  metal: 'something wears; find out what before it runs on',
} satisfies Record<Extract<Reason, { rule: 'glitter' }>['why'], string>;
