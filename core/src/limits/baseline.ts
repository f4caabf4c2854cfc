import type { LeakGrade, LimitSheet, Threshold } from './limitSheet';

type Edge = Omit<Threshold, 'bad' | 'inclusive'>;
const under = (edge: Edge): Threshold => ({ ...edge, bad: 'below', inclusive: false });
const over = (edge: Edge): Threshold => ({ ...edge, bad: 'above', inclusive: false });
const from = (edge: Edge): Threshold => ({ ...edge, bad: 'above', inclusive: true });
const downTo = (edge: Edge): Threshold => ({ ...edge, bad: 'below', inclusive: true });

const house = (grade: 'advisory' | 'fail', value: number, source: string): Edge => ({
  grade,
  value,
  basis: 'house',
  source,
});
const law = (grade: 'advisory' | 'fail', value: number, source: string): Edge => ({
  grade,
  value,
  basis: 'law',
  source,
});

const stages = (stain: LeakGrade, damp: LeakGrade, drop: LeakGrade, drip: LeakGrade, run: LeakGrade) => ({
  stain,
  damp,
  drop,
  drip,
  run,
});
const hydraulics = stages('watch', 'advisory', 'advisory', 'fail', 'fail');
/** Damp but dripless oil is watched, the default of the house rule. */
const oils = stages('watch', 'watch', 'advisory', 'fail', 'fail');
const safety = stages('advisory', 'fail', 'fail', 'fail', 'fail');
const harmless = stages('pass', 'pass', 'pass', 'pass', 'advisory');

/** The built-in starting point. Local law comes first: a workshop checks every row against its own. */
export const BASELINE: LimitSheet = {
  code: 'baseline',
  version: 1,
  validFrom: '2026-01-01',
  rows: [
    {
      measure: 'tread',
      kind: 'value',
      classes: ['car', 'light-goods'],
      thresholds: [
        under(house('advisory', 3, 'wet grip')),
        under(law('fail', 1.6, '89/459/EEC, passenger cars and light goods')),
      ],
    },
    {
      measure: 'tread',
      kind: 'value',
      classes: ['goods', 'minibus'],
      thresholds: [
        under(house('advisory', 3, 'wet grip')),
        under(law('fail', 1, 'UK, goods over 3.5 t and over 8 passenger seats')),
      ],
    },
    {
      measure: 'tread',
      kind: 'spread',
      classes: null,
      thresholds: [from(house('advisory', 1.5, 'wear across one tyre'))],
    },
    {
      measure: 'lining',
      kind: 'value',
      classes: null,
      thresholds: [
        under(house('advisory', 3.5, 'bonded pad lining')),
        under(law('fail', 1.5, 'the periodic test of several countries; check yours')),
      ],
    },
    {
      measure: 'lining',
      kind: 'inner-outer',
      classes: null,
      thresholds: [from(house('advisory', 2, 'one pad wears alone'))],
    },
    {
      measure: 'lining',
      kind: 'across',
      classes: null,
      thresholds: [from(house('advisory', 2, 'one side wears alone'))],
    },
    {
      measure: 'pressure',
      kind: 'placard-share',
      classes: null,
      ignoreUpToKpa: 10,
      thresholds: [
        under(house('advisory', -0.05, 'placard, at 20 °C')),
        over(house('advisory', 0.05, 'placard, at 20 °C')),
        downTo(house('fail', -0.2, 'placard, at 20 °C; look for carcass damage')),
      ],
    },
    {
      measure: 'pressure',
      kind: 'across',
      classes: null,
      thresholds: [from(house('advisory', 20, 'left against right'))],
    },
    {
      measure: 'level',
      kind: 'value',
      classes: null,
      thresholds: [
        under(house('advisory', 0.25, 'a quarter above the lower mark')),
        over(house('advisory', 1.05, 'the top mark')),
        under({ grade: 'fail', value: 0, basis: 'maker', source: 'the lower mark' }),
        over(house('fail', 1.25, 'a quarter above the top mark')),
      ],
    },
    {
      measure: 'water',
      kind: 'value',
      classes: null,
      thresholds: [
        from(house('advisory', 1.5, 'water in brake fluid')),
        from(house('fail', 3, 'water in brake fluid')),
      ],
    },
  ],
  leaks: {
    'brake-fluid': safety,
    fuel: safety,
    'steering-hydraulic': hydraulics,
    coolant: hydraulics,
    'engine-oil': oils,
    'gear-oil': oils,
    'transmission-fluid': oils,
    grease: hydraulics,
    urea: hydraulics,
    'refrigerant-oil': stages('watch', 'advisory', 'advisory', 'advisory', 'fail'),
    unknown: stages('advisory', 'advisory', 'advisory', 'fail', 'fail'),
    water: harmless,
    washer: harmless,
  },
  words: {
    'print-worn': 'advisory',
    'ribs-cracked': 'advisory',
    'rib-missing': 'fail',
    frayed: 'fail',
    glazed: 'advisory',
    'oil-soaked': 'advisory',
    slack: 'advisory',
    noisy: 'advisory',
    'out-of-line': 'advisory',
    soft: 'advisory',
    hard: 'advisory',
    crunchy: 'advisory',
    bulged: 'fail',
    cracked: 'advisory',
    chafed: 'advisory',
    rubbing: 'advisory',
    'joint-weeping': 'advisory',
    'clip-loose': 'advisory',
    'clip-missing': 'fail',
    'centre-wear': 'advisory',
    'both-edge-wear': 'advisory',
    'inner-edge-wear': 'advisory',
    'outer-edge-wear': 'advisory',
    cupping: 'advisory',
    feathering: 'advisory',
    'flat-spot': 'advisory',
    cut: 'advisory',
    bulge: 'fail',
    'cord-visible': 'fail',
    'valve-perished': 'advisory',
    'cap-missing': 'advisory',
    scored: 'advisory',
    contaminated: 'fail',
    tapered: 'advisory',
    'stuck-slide': 'advisory',
    'indicator-touching': 'fail',
  },
};
