import { typedKeys } from '../sums/keyed';

/** What can be wrong with any part; how much it weighs is told by the vocabulary. */
const GENERAL = ['missing', 'loose', 'damaged', 'chafed', 'not-refitted'] as const;

/** Observation words by vocabulary: codes only, their spelling per language lives in the app. */
export const VOCABULARIES = {
  belt: [
    'print-worn',
    'ribs-cracked',
    'rib-missing',
    'frayed',
    'glazed',
    'oil-soaked',
    'slack',
    'noisy',
    'out-of-line',
  ],
  hose: [
    'soft',
    'hard',
    'crunchy',
    'bulged',
    'cracked',
    'chafed',
    'rubbing',
    'joint-weeping',
    'clip-loose',
    'clip-missing',
  ],
  tyre: [
    'centre-wear',
    'both-edge-wear',
    'inner-edge-wear',
    'outer-edge-wear',
    'cupping',
    'feathering',
    'flat-spot',
    'cut',
    'bulge',
    'cord-visible',
  ],
  'tyre-wall': ['cut', 'bulge', 'cord-visible', 'object-stuck', 'perished', 'rim-damage', 'kerbing'],
  'tyre-match': ['mixed-on-axle', 'against-arrow', 'sizes-differ'],
  valve: ['valve-perished', 'cap-missing'],
  brake: ['glazed', 'scored', 'cracked', 'contaminated', 'tapered', 'stuck-slide', 'indicator-touching'],
  disc: ['scored', 'cracked', 'lip', 'blued', 'contaminated'],
  calliper: ['stuck-slide', 'seal-wet', 'boot-torn'],
  'brake-hose': ['cracked', 'bulged', 'chafed', 'twisted'],
  pipe: ['rust-light', 'rust-pitted', 'chafed', 'clip-missing'],
  fluid: [
    'clear',
    'darkened',
    'black',
    'milky',
    'foam',
    'burnt-smell',
    'fuel-smell',
    'glitter-fine',
    'glitter-flakes',
    'rust-coloured',
    'sludge',
    'wrong-colour',
    'particles',
    'pan-clean',
    'pan-not-clean',
    'fresh-engine',
    'run-long',
  ],
  cap: ['milky', 'foam', 'sludge', 'seal-worn'],
  boot: ['split', 'clip-lost', 'grease-flung', 'perished', 'slipped-off'],
  exhaust: ['hanger-broken', 'joint-blowing', 'hole', 'scraped', 'shield-loose'],
  spring: ['end-broken', 'cracked-coil', 'seat-wrong'],
  damper: ['rod-wet', 'body-dented', 'bush-torn'],
  rust: ['rust-surface', 'rust-scaling', 'rust-holed', 'rust-near-mounting'],
  general: GENERAL,
  'wheel-bolt': GENERAL,
  restraint: GENERAL,
  'parking-brake': GENERAL,
  bush: ['bush-torn', 'bush-cracked', 'bush-loose'],
  bearing: ['rough', 'noisy', 'tight'],
  'warning-lamp': [
    'oil-lamp',
    'brake-lamp',
    'airbag-lamp',
    'anti-lock-lamp',
    'engine-lamp',
    'charge-lamp',
    'temperature-lamp',
    'steering-lamp',
    'tyre-lamp',
    'glow-lamp',
  ],
  smoke: ['blue-at-start', 'blue-warm', 'white-persists', 'black-on-revs'],
  idle: ['rough', 'hunting', 'stalls', 'knocks'],
  pedal: ['spongy', 'sinks', 'hard', 'judders'],
  glass: ['chip', 'crack-in-view', 'crack-elsewhere'],
  wiper: ['streaks', 'rubber-torn', 'arm-loose'],
  terminal: ['corroded', 'loose', 'cover-missing'],
  'air-filter': ['light-blocked', 'debris', 'oily', 'wet'],
  plug: ['oily', 'sooty', 'blistered', 'gap-worn'],
  differential: ['open-kind', 'limited-slip'],
  road: ['pulls-left', 'pulls-right', 'noisy', 'brake-judders', 'brake-pulls', 'brake-noise'],
  regeneration: ['regen-wanted', 'regen-running', 'regen-held-back', 'regen-overdue'],
  'high-voltage': ['sheathing-damaged', 'cover-loose'],
} as const;

/** A list of words that are said of one kind of part, by its name. */
export type Vocabulary = keyof typeof VOCABULARIES;
/** A word that can be said of a part. */
export type Word = (typeof VOCABULARIES)[Vocabulary][number];
export const VOCABULARY_NAMES = typedKeys(VOCABULARIES);
/** Metal in a fluid, and the two answers each that are wanted before it is graded. */
export const GLITTER = ['glitter-fine', 'glitter-flakes'] as const satisfies readonly Word[];
export const PAN_ANSWERS = ['pan-clean', 'pan-not-clean'] as const satisfies readonly Word[];
export const ENGINE_ANSWERS = ['fresh-engine', 'run-long'] as const satisfies readonly Word[];

export const WORDS = [...new Set(Object.values<readonly Word[]>(VOCABULARIES).flat())];
