import type { PointCode } from '../catalogue/catalogue';
import type { MeasureCode } from '../catalogue/measures';
import type { AppliesTo, LeakGrade, LimitKind, LimitRow, LimitSheet, Threshold } from './limitSheet';
import { WORD_GRADES_BASELINE } from './wordGrades';

type Edge = Omit<Threshold, 'bad' | 'inclusive'>;
const under = (edge: Edge): Threshold => ({ ...edge, bad: 'below', inclusive: false });
const over = (edge: Edge): Threshold => ({ ...edge, bad: 'above', inclusive: false });
const from = (edge: Edge): Threshold => ({ ...edge, bad: 'above', inclusive: true });
const downTo = (edge: Edge): Threshold => ({ ...edge, bad: 'below', inclusive: true });

const edgeBy =
  (basis: Threshold['basis']) =>
  (grade: 'advisory' | 'fail', value: number, source: string): Edge => ({ grade, value, basis, source });
const house = edgeBy('house');
const law = edgeBy('law');
const maker = edgeBy('maker');

const row = (
  measure: MeasureCode,
  kind: LimitKind,
  thresholds: readonly Threshold[],
  applies: AppliesTo = {},
): LimitRow => ({ measure, kind, applies, thresholds });

const LIGHT = ['car', 'light-goods'] as const;
const HEAVY = ['goods', 'minibus', 'bus'] as const;
const WET_GRIP = 'wet grip';
const LOWER_LIMIT = law('fail', 1, 'UK, goods over 3.5 t and over 8 passenger seats');
const LIGHT_LIMIT = law('fail', 1.6, '89/459/EEC, passenger cars and light goods');

const WORKING_LEVELS: readonly PointCode[] = [
  'cold.oil',
  'cold.coolant',
  'cold.brakefluid',
  'oil.level',
  'coolant.level',
  'brake.fluid.level',
  'clutch.fluid',
  'steer.fluid.level',
  'trans.level',
  'axle.oil.level',
  'gearbox.oil.level',
  'transfer.oil.level',
  'close.level',
  'plant.oil',
  'plant.coolant',
  'plant.hydraulic',
  'plant.finaldrive',
  'plant.brake.reservoir',
];
const WEAR_JOINTS: readonly PointCode[] = [
  'wheel.rock',
  'link.drop',
  'joint.ball',
  'rod.end',
  'cabin.steering',
  'steer.rack',
  'shaft.prop',
];

const boilingRow = (grade: 'DOT 3' | 'DOT 4' | 'DOT 5.1', advisoryC: number, failC: number) =>
  row(
    'boiling',
    'value',
    [
      under(law('advisory', advisoryC, `half way to the wet minimum of ${grade}`)),
      under(law('fail', failC, `49 CFR 571.116, wet minimum of ${grade}`)),
    ],
    { brakeFluid: grade },
  );

/** How much colder than the lowest temperature to expect a coolant is to freeze. */
const PROTECTION: readonly Threshold[] = [
  over(house('advisory', -10, 'ten kelvin below the lowest temperature to expect')),
  over(house('fail', 0, 'the lowest temperature to expect')),
];

const treadSpread = row('tread', 'spread', [from(house('advisory', 1.5, 'wear across one tyre'))]);
const otherRows: readonly LimitRow[] = [
  treadSpread,
  row('tread', 'front-rear', [
    from(house('advisory', 2, 'permanent four-wheel drive winds up; the maker may say less')),
  ]),
  row('tyre-age', 'age', [from(house('advisory', 6, 'check local law'))]),
  row('tyre-age', 'age', [from(house('fail', 10, 'front axle; check local law'))], {
    classes: HEAVY,
    axles: 'front',
  }),
  row('tyre-age', 'age', [from(house('fail', 10, 'single rear wheels of a minibus; check local law'))], {
    classes: ['minibus'],
    axles: 'rear',
    wheels: 'single',
  }),
  {
    ...row('pressure', 'placard-share', [
      under(house('advisory', -0.05, 'placard, at 20 °C')),
      over(house('advisory', 0.05, 'placard, at 20 °C')),
      downTo(house('fail', -0.2, 'placard, at 20 °C; look for carcass damage')),
    ]),
    ignoreUpToKpa: 10,
  },
  row('pressure', 'across', [from(house('advisory', 20, 'left against right'))]),
  row('lining', 'value', [
    under(house('advisory', 3.5, 'bonded pad lining')),
    under(law('fail', 1.5, 'the periodic test of several countries; check yours')),
  ]),
  row('lining', 'share-of-new', [
    under(house('advisory', 0.3, 'bonded pad lining, share of new')),
    under(house('fail', 0.15, 'bonded pad lining, share of new')),
  ]),
  row('lining', 'inner-outer', [from(house('advisory', 2, 'one pad wears alone'))]),
  row('lining', 'across', [from(house('advisory', 2, 'one side wears alone'))]),
  row('shoe', 'value', [
    under(house('advisory', 2.5, 'bonded shoe lining')),
    under(law('fail', 1.5, 'the periodic test of several countries; check yours')),
  ]),
  row('shoe', 'across', [from(house('advisory', 1.5, 'one drum wears alone'))]),
  row('drum', 'across', [from(house('advisory', 1, 'one drum wears alone'))]),
  row('tread', 'twins', [from(house('advisory', 2, 'the deeper of a pair carries for both'))]),
  row('pressure', 'twins', [from(house('advisory', 30, 'the harder of a pair carries for both'))]),
  row('hole', 'value', [
    from(house('advisory', 2, 'under the edge of the fill plug')),
    from(house('fail', 3, 'not felt at the fill plug')),
  ]),
  row('shoe', 'share-of-new', [
    under(house('advisory', 0.4, 'bonded shoe lining, share of new')),
    under(house('fail', 0.2, 'bonded shoe lining, share of new')),
  ]),
  row('disc', 'over-minimum', [
    under(maker('advisory', 0.5, 'half a millimetre above the stamped minimum')),
    under(maker('fail', 0, 'the minimum stamped on the disc')),
  ]),
  row('disc-lip', 'value', [from(house('advisory', 1, 'lip at the rim of the disc'))]),
  row('water', 'value', [
    from(house('advisory', 1.5, 'water in brake fluid')),
    from(house('fail', 3, 'water in brake fluid')),
  ]),
  row('water-band', 'value', [
    from(house('advisory', 1, 'middle band: from 1.5 %')),
    from(house('fail', 2, 'high band: from 3 %')),
  ]),
  boilingRow('DOT 3', 160, 140),
  boilingRow('DOT 4', 180, 155),
  boilingRow('DOT 5.1', 205, 180),
  row('freeze', 'over-design-low', PROTECTION, { points: ['coolant.strength'] }),
  // One sample, one judgement: its protection as a freeze point, its share only for what the share alone tells.
  row('glycol', 'mixture-freeze', PROTECTION),
  row('glycol', 'value', [
    under(house('advisory', 33, 'too little glycol guards no metal from corrosion')),
    over(house('advisory', 65, 'more glycol freezes earlier again and cools less')),
  ]),
  row('freeze', 'over-design-low', [over(house('advisory', 0, 'washer fluid in the winter months'))], {
    points: ['washer.frost'],
    season: 'winter-months',
  }),
  row(
    'level',
    'value',
    [
      under(house('advisory', 0.25, 'a quarter above the lower mark')),
      over(house('advisory', 1.05, 'the top mark')),
      under(maker('fail', 0, 'the lower mark')),
      over(house('fail', 1.25, 'a quarter above the top mark')),
    ],
    { points: WORKING_LEVELS },
  ),
  row('level', 'value', [under(house('advisory', 0.25, 'a quarter above empty'))], {
    points: ['washer.level', 'urea.level'],
  }),
  row('crank', 'rated-share', [
    under(house('advisory', 0.8, 'measured against rated, same standard')),
    under(house('fail', 0.6, 'measured against rated, same standard')),
  ]),
  row(
    'rest-voltage',
    'per-12-volts',
    [under(house('advisory', 12.4, 'charge and test again')), under(house('fail', 12, 'rest voltage'))],
    { batteries: ['flooded', 'efb', 'agm'] },
  ),
  row(
    'charge-voltage',
    'per-12-volts',
    [
      under(house('advisory', 13.5, 'charging, fixed voltage')),
      over(house('advisory', 14.8, 'charging, fixed voltage')),
      under(house('fail', 13, 'charging, fixed voltage')),
      over(house('fail', 15.2, 'charging, fixed voltage')),
    ],
    { charging: 'plain', batteries: ['flooded', 'efb', 'agm'] },
  ),
  row(
    'charge-voltage',
    'per-12-volts',
    [
      under(house('advisory', 12.2, 'smart charging')),
      over(house('advisory', 15.2, 'smart charging')),
      under(house('fail', 11.8, 'smart charging')),
      over(house('fail', 15.5, 'smart charging')),
    ],
    { charging: 'smart', batteries: ['flooded', 'efb', 'agm'] },
  ),
  row(
    'seconds',
    'value',
    [over(house('advisory', 5, 'oil lamp')), over(house('fail', 10, 'oil lamp: stop the engine'))],
    { points: ['cabin.oillamp'] },
  ),
  row(
    'torque',
    'torque-share',
    [
      under(house('advisory', 0.9, 'the wheel bolts’ torque of the spec sheet')),
      over(house('advisory', 1.15, 'the wheel bolts’ torque of the spec sheet; stretched')),
      under(house('fail', 0.7, 'loose: tighten crosswise before it moves')),
    ],
    { points: ['close.bolts'] },
  ),
  row(
    'torque',
    'torque-share',
    [
      under(house('advisory', 0.9, 'the steering box’s torque of the spec sheet')),
      under(house('fail', 0.7, 'the steering box works loose: do not drive it')),
    ],
    { points: ['steer.box.bolts'] },
  ),
  row(
    'pressure',
    'value',
    [
      under(house('advisory', 180, 'spare, ready to be used')),
      under(house('fail', 100, 'a spare that cannot be driven on')),
    ],
    { points: ['walk.spare'] },
  ),
  row('play', 'value', [from(house('advisory', 1, 'just felt')), from(house('fail', 2, 'clear play'))], {
    points: WEAR_JOINTS,
  }),
];

const stages = (stain: LeakGrade, damp: LeakGrade, drop: LeakGrade, drip: LeakGrade, run: LeakGrade) => ({
  stain,
  damp,
  drop,
  drip,
  run,
});
const hydraulics = stages('watch', 'advisory', 'advisory', 'fail', 'fail');
/** Damp but dripless oil: the house rule makes it an advisory where it says so. */
const oils = stages('watch', 'watch', 'advisory', 'fail', 'fail');
const safety = stages('advisory', 'fail', 'fail', 'fail', 'fail');
const harmless = stages('pass', 'pass', 'pass', 'pass', 'advisory');

/** The built-in starting point. Local law comes first: a workshop checks every row against its own. */
export const BASELINE: LimitSheet = {
  code: 'baseline',
  version: 4,
  validFrom: '2026-01-01',
  rows: [
    row('tread', 'value', [under(house('advisory', 3, WET_GRIP)), under(LIGHT_LIMIT)], { classes: LIGHT }),
    row('tread', 'value', [under(house('advisory', 3, WET_GRIP)), under(LOWER_LIMIT)], { classes: HEAVY }),
    row('tread', 'value', [under(house('advisory', 4, 'winter-marked, in season'))], { season: 'winter' }),
    ...otherRows,
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
    'damper-oil': hydraulics,
    'refrigerant-oil': stages('watch', 'advisory', 'advisory', 'advisory', 'fail'),
    unknown: stages('advisory', 'advisory', 'advisory', 'fail', 'fail'),
    water: harmless,
    washer: harmless,
  },
  words: WORD_GRADES_BASELINE,
  lamps: {
    dip: 'fail',
    main: 'fail',
    side: 'fail',
    indicator: 'fail',
    repeater: 'fail',
    brake: 'fail',
    'high-brake': 'advisory',
    reverse: 'advisory',
    fog: 'fail',
    'number-plate': 'fail',
    daylight: 'advisory',
  },
  countFails: ['wheel.bolts'],
  codes: { stored: 'advisory', pending: 'recorded', returned: 'fail' },
};

/** As the baseline, with the tread limits of 49 CFR 570.9 for light vehicles. */
export const US_LIGHT: LimitSheet = {
  ...BASELINE,
  code: 'us-light',
  version: 1,
  rows: [
    row('tread', 'value', [
      under(house('advisory', (4 * 25.4) / 32, 'wet grip, 4/32 in')),
      under(law('fail', (2 * 25.4) / 32, '49 CFR 570.9, 2/32 in')),
    ]),
    ...otherRows,
  ],
};
