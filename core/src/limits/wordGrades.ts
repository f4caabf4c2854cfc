import type { Vocabulary, Word } from '../catalogue/words';
import type { WordGrade } from './limitSheet';

type Grades = Partial<Record<Word, WordGrade>>;

const advisory = (...words: readonly Word[]): Grades => Object.fromEntries(words.map((word) => [word, 'advisory']));
const fail = (...words: readonly Word[]): Grades => Object.fromEntries(words.map((word) => [word, 'fail']));
const pass = (...words: readonly Word[]): Grades => Object.fromEntries(words.map((word) => [word, 'pass']));
const recorded = (...words: readonly Word[]): Grades => Object.fromEntries(words.map((word) => [word, 'recorded']));

const WEAR = advisory(
  'centre-wear',
  'both-edge-wear',
  'inner-edge-wear',
  'outer-edge-wear',
  'cupping',
  'feathering',
  'flat-spot',
);

/** How much an observation weighs, by what it is seen on. House rules all: a workshop edits them like any limit. */
export const WORD_GRADES_BASELINE: Readonly<Record<Vocabulary, Grades>> = {
  belt: {
    ...advisory('print-worn', 'ribs-cracked', 'glazed', 'oil-soaked', 'slack', 'noisy', 'out-of-line'),
    ...fail('rib-missing', 'frayed'),
  },
  hose: {
    ...advisory('soft', 'hard', 'crunchy', 'cracked', 'chafed', 'rubbing', 'joint-weeping', 'clip-loose'),
    ...fail('bulged', 'clip-missing'),
  },
  tyre: { ...WEAR, ...advisory('cut'), ...fail('bulge', 'cord-visible') },
  'tyre-wall': {
    ...advisory('cut', 'object-stuck', 'perished', 'rim-damage'),
    ...recorded('kerbing'),
    ...fail('bulge', 'cord-visible'),
  },
  'tyre-match': { ...advisory('against-arrow'), ...fail('mixed-on-axle', 'sizes-differ') },
  valve: advisory('valve-perished', 'cap-missing'),
  brake: {
    ...advisory('glazed', 'scored', 'cracked', 'tapered', 'stuck-slide'),
    ...fail('contaminated', 'indicator-touching'),
  },
  disc: { ...advisory('scored', 'lip', 'blued'), ...fail('cracked', 'contaminated') },
  calliper: { ...advisory('stuck-slide', 'boot-torn'), ...fail('seal-wet') },
  'brake-hose': { ...advisory('cracked', 'twisted'), ...fail('bulged', 'chafed') },
  pipe: { ...advisory('rust-light', 'chafed', 'clip-missing'), ...fail('rust-pitted') },
  fluid: {
    ...pass('clear'),
    ...recorded('darkened', 'pan-clean', 'pan-not-clean', 'fresh-engine', 'run-long'),
    ...advisory(
      'black',
      'foam',
      'burnt-smell',
      'fuel-smell',
      'glitter-fine',
      'rust-coloured',
      'wrong-colour',
      'particles',
    ),
    ...fail('milky', 'glitter-flakes', 'sludge'),
  },
  cap: advisory('milky', 'foam', 'sludge', 'seal-worn'),
  boot: { ...advisory('perished'), ...fail('split', 'clip-lost', 'grease-flung', 'slipped-off') },
  exhaust: { ...advisory('hanger-broken', 'joint-blowing', 'scraped', 'shield-loose'), ...fail('hole') },
  spring: { ...advisory('seat-wrong'), ...fail('end-broken', 'cracked-coil') },
  damper: { ...advisory('rod-wet', 'body-dented', 'bush-torn') },
  rust: { ...recorded('rust-surface'), ...advisory('rust-scaling'), ...fail('rust-holed', 'rust-near-mounting') },
  general: advisory('missing', 'loose', 'damaged', 'chafed', 'not-refitted'),
  'wheel-bolt': { ...fail('missing', 'loose', 'damaged'), ...advisory('chafed', 'not-refitted') },
  restraint: { ...fail('missing', 'loose', 'damaged', 'chafed'), ...advisory('not-refitted') },
  'parking-brake': { ...fail('missing', 'loose', 'damaged'), ...advisory('chafed', 'not-refitted') },
  bush: { ...advisory('bush-cracked', 'bush-loose'), ...fail('bush-torn') },
  bearing: { ...advisory('noisy', 'tight'), ...fail('rough') },
  'warning-lamp': {
    ...fail(
      'oil-lamp',
      'brake-lamp',
      'airbag-lamp',
      'anti-lock-lamp',
      'temperature-lamp',
      'steering-lamp',
      'charge-lamp',
    ),
    ...advisory('engine-lamp', 'tyre-lamp', 'glow-lamp'),
  },
  smoke: advisory('blue-at-start', 'blue-warm', 'white-persists', 'black-on-revs'),
  idle: advisory('rough', 'hunting', 'stalls', 'knocks'),
  pedal: { ...advisory('judders'), ...fail('spongy', 'sinks', 'hard') },
  glass: { ...recorded('chip'), ...advisory('crack-elsewhere'), ...fail('crack-in-view') },
  wiper: { ...advisory('streaks'), ...fail('rubber-torn', 'arm-loose') },
  terminal: advisory('corroded', 'loose', 'cover-missing'),
  'air-filter': advisory('light-blocked', 'debris', 'oily', 'wet'),
  plug: advisory('oily', 'sooty', 'blistered', 'gap-worn'),
  differential: recorded('open-kind', 'limited-slip'),
  road: {
    ...advisory('pulls-left', 'pulls-right', 'noisy', 'brake-judders', 'brake-noise'),
    ...fail('brake-pulls'),
  },
  regeneration: {
    ...recorded('regen-wanted', 'regen-running'),
    ...advisory('regen-held-back'),
    ...fail('regen-overdue'),
  },
  'high-voltage': { ...fail('sheathing-damaged'), ...advisory('cover-loose') },
};
