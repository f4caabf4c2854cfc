import {
  BASELINE,
  CATALOGUE,
  HOUSE_QUESTIONS,
  HOUSE_CHOICES,
  USUAL_HOUSE_RULES,
  gradePoint,
  readingValue,
  type AgeForecast,
  type Forecast,
  type Outlook,
  type StateTrend,
  type HouseRules,
  type LookAhead,
  PLAIN_FLUID,
} from '@weskopos/core';
import { words } from './en';
import {
  CAR,
  contextOf,
  findingOf,
  inspectionOf,
  leakOf,
  readingOf,
  rulesWith,
  treadOf,
} from '@weskopos/core/tests/builders';
import { forecastSentence, lookAgainSentence, shortWhen } from './forecastSentence';
import { stateSentence, stateWords } from './stateSentence';
import { gradeSentence, reasonSource } from './reasonSentence';
import {
  amount,
  dateWords,
  figure,
  meterWords,
  placeInitials,
  placeWords,
  pointWords,
  roughMeter,
  speakByHouse,
  stopWords,
} from './show';

const graded = (finding: ReturnType<typeof findingOf>, change = {}) =>
  gradePoint(finding, contextOf(CAR, [finding], change));
const leak = (change: Parameters<typeof leakOf>[0]) =>
  findingOf('leak.engine', '', { leaks: [leakOf({ stage: 'damp', ...change })] });

test.each([
  [
    'fail under a limit',
    findingOf('tyre.tread', '1L', { readings: treadOf(1.2, 4, 4) }),
    'Outer 1.2 mm is under 1.6 (law). 2.8 mm between the most and the least worn place.',
  ],
  [
    'pass names the nearest limit',
    findingOf('tyre.tread', '1L', { readings: treadOf(5, 5.1, 5.2) }),
    'Outer 5.0 mm; advisory under 3.0.',
  ],
  [
    'at or over',
    findingOf('brake.fluid.water', '', { readings: [readingOf('water', 3)] }),
    '3.0 % is at or over 3.0 (house).',
  ],
  ['watch', leak({}), 'Engine oil, damp. Wipe it and look again next time.'],
  ['worse where it reaches', leak({ reaches: 'exhaust' }), 'Engine oil, damp, and it reaches an exhaust.'],
  ['sound', findingOf('belt.aux', ''), 'Looked at, nothing wrong.'],
  ['words', findingOf('belt.aux', '', { words: ['frayed'] }), 'Frayed.'],
  ['gap', findingOf('tyre.tread', '1L', { readings: treadOf(5, 5, 5).slice(1) }), 'No reading yet: outer.'],
  [
    'not reached',
    findingOf('belt.aux', '', { access: 'not-reached', accessReason: 'tray-on' }),
    'Not reached: tray left on.',
  ],
  [
    'pressure',
    findingOf('tyre.pressure', '1L', { readings: [readingOf('pressure', 180)] }),
    '180 kPa at 20 °C, 22 % under the placard (230).',
  ],
])('%s', (_, finding, sentence) => {
  expect(gradeSentence(graded(finding))).toContain(sentence);
});

test('every ungraded pressure says why', () => {
  const finding = findingOf('tyre.pressure', '1L', { readings: [readingOf('pressure', 180)] });
  expect(gradeSentence(graded(finding, { inspection: inspectionOf(CAR, { state: 'hot' }) }))).toContain('not cold');
});

test('the source of a limit is told', () => {
  const [reason] = graded(findingOf('tyre.tread', '1L', { readings: treadOf(1.2, 4, 4) })).reasons;
  expect(reason && reasonSource(reason)).toBe(`Law: ${BASELINE.rows[0]?.thresholds[1]?.source}`);
});

test.each([
  ['1L', 'nearside front', 'NSF'],
  ['2R', 'offside rear', 'OSR'],
  ['2Ro', 'offside rear, outer', 'OSRo'],
  ['', '', ''],
])('place %s', (place, spoken, initials) => {
  expect([placeWords(place, 2), placeInitials(place, 2)]).toEqual([spoken, initials]);
});

test('every point of a station has a name of its own, and every school its words', () => {
  const names = CATALOGUE.map(({ code, station }) => `${station}: ${pointWords(code, '', 2)}`);
  expect(new Set(names).size).toBe(CATALOGUE.length);
  for (const question of HOUSE_QUESTIONS)
    for (const school of HOUSE_CHOICES[question])
      expect((words.school[question] as Record<string, string>)[school]).toMatch(/\w/);
});

test('distances and hours', () => {
  expect(meterWords(84_310, 'km')).toBe('84\u202f310 km');
  expect(meterWords(1463.5, 'h')).toBe('1\u202f463.5 h');
  expect([13_260, 3449, 84].map((km) => roughMeter(km, 'km'))).toEqual(['13\u202f000 km', '3\u202f400 km', '80 km']);
});

describe('by house rule', () => {
  const speak = (change: Partial<HouseRules>) => speakByHouse({ ...USUAL_HOUSE_RULES, ...change });
  afterEach(() => speakByHouse(USUAL_HOUSE_RULES));

  test.each([
    ['kerb, traffic left', {}, ['nearside front', 'offside rear', 'NSF']],
    ['kerb, traffic right', { traffic: 'right' }, ['offside front', 'nearside rear', 'OSF']],
    ['left and right', { positionWords: 'left-right' }, ['left front', 'right rear', 'LF']],
    [
      'left and right, traffic right',
      { positionWords: 'left-right', traffic: 'right' },
      ['left front', 'right rear', 'LF'],
    ],
    ['driver, traffic left', { positionWords: 'driver' }, ['passenger side front', 'driver side rear', 'PF']],
    [
      'driver, traffic right',
      { positionWords: 'driver', traffic: 'right' },
      ['driver side front', 'passenger side rear', 'DF'],
    ],
  ] as const)('%s', (_, change, spoken) => {
    speak(change);
    expect([placeWords('1L', 2), placeWords('2R', 2), placeInitials('1L', 2)]).toEqual(spoken);
  });

  test('the driver’s side is the vehicle’s own where it is told, whichever side the traffic keeps to', () => {
    speak({ positionWords: 'driver' });
    const seated = (driverSide: 'L' | 'R' | null) => ({ axles: [1, 2], makeUp: { driverSide } });
    expect(placeWords('1L', seated('L'))).toBe('driver side front');
    expect(placeWords('1L', seated('R'))).toBe('passenger side front');
    expect(placeWords('1L', seated(null))).toBe('passenger side front');
    speak({});
    expect(placeWords('1L', seated('L'))).toBe('nearside front');
  });

  test('figures in the workshop’s units, stored in SI', () => {
    speak({
      units: { pressure: 'psi', tread: '/32in', distance: 'mi', temperature: '°F', volume: 'US qt', torque: 'lb·ft' },
    });
    expect(amount('pressure', 241.3165)).toBe('35.0 psi');
    expect(amount('tread', 1.5875)).toBe('2.0/32 in');
    expect(amount('temperature', 100)).toBe('212 °F');
    expect(amount('torque', 115.2445)).toBe('85 lb·ft');
    expect(amount('lining', 3.5)).toBe('3.5 mm');
    expect(meterWords(160.9344, 'km')).toBe('100 mi');
    const pass = findingOf('tyre.tread', '1L', { readings: treadOf(1.2, 1.2, 1.2) });
    expect(gradeSentence(graded(pass))).toContain('1.5/32 in is under 2.0 (law)');
  });
});

test.each([
  ['a week code', figure('tyre-age', 202305), '0523'],
  ['a code of three digits', figure('tyre-age', 199952), 'before 2000'],
  ['a named step', figure('play', 1), 'just felt'],
  ['a whole axle', placeWords('2', 2), 'rear axle'],
  ['a stop', stopWords('1R', 2), 'Offside front'],
  ['no minus before nothing', amount('freeze', -0.2), '0 °C'],
])('%s', (_, said, expected) => expect(said).toBe(expected));

describe('reasons of every kind in one sentence', () => {
  const spec = { ...CAR.spec, battery: { type: 'flooded', ratedA: 600, standard: 'EN' }, brakeFluid: 'DOT 4' } as const;
  const vehicle = { ...CAR, spec, axles: CAR.axles.map((axle) => ({ ...axle, discMinimumMm: 20, liningNewMm: 10 })) };
  const said = (finding: ReturnType<typeof findingOf>, change = {}, others: ReturnType<typeof findingOf>[] = []) =>
    gradeSentence(gradePoint(finding, contextOf(vehicle, [finding, ...others], change)));
  const bars = treadOf(1.6, 1.6, 1.6).map((reading) => ({ ...reading, bound: 'over' as const }));
  const rest = findingOf('battery.rest', '', { readings: [readingOf('rest-voltage', 12.6)] });

  test.each([
    ['bar', said(findingOf('tyre.tread', '1L', { readings: bars })), 'a gauge must tell'],
    ['play', said(findingOf('rod.end', '1L', { readings: [readingOf('play', 1)] })), 'Play just felt.'],
    [
      'disc',
      said(findingOf('disc', '1L', { readings: [readingOf('disc', 20.3)] })),
      '0.3 mm above the stamped minimum',
    ],
    [
      'disc under',
      said(findingOf('disc', '1L', { readings: [readingOf('disc', 19.5)] })),
      '0.5 mm under the stamped minimum',
    ],
    ['age', said(findingOf('tyre.age', '1L', { readings: [readingOf('tyre-age', 201922)] })), '7 years old'],
    [
      'frost',
      said(findingOf('coolant.strength', '', { readings: [readingOf('freeze', -20)] })),
      'Freezes at −20 °C; the lowest to expect is −25 °C',
    ],
    [
      'crank',
      said(findingOf('battery.crank', '', { readings: [readingOf('crank', 420)], standard: 'EN' }), {}, [rest]),
      '70 % of the rated current',
    ],
    [
      'other standard',
      said(findingOf('battery.crank', '', { readings: [readingOf('crank', 420)], standard: 'SAE' }), {}, [rest]),
      'another test standard',
    ],
    [
      'charging',
      said(findingOf('charge.voltage', '', { readings: [readingOf('charge-voltage', 13.2)] })),
      '13.20 V of a 12 V system is under 13.5',
    ],
    [
      'percent',
      said(findingOf('pad.outer', '1L', { readings: [readingOf('lining', 2.9)] }), {
        rules: rulesWith({ liningAs: 'percent' }),
      }),
      '29 % of new',
    ],
    [
      'lamp',
      said(findingOf('walk.lamps', '', { counts: [{ item: 'high-brake', good: 0, of: 1, found: null, out: [] }] })),
      'High brake: 0 of 1 lit.',
    ],
    [
      'lamp by its place',
      said(
        findingOf('walk.lamps', '', {
          counts: [{ item: 'indicator', good: 2, of: 4, found: null, out: ['front-left', 'rear-right'] }],
        }),
      ),
      'Indicator: 2 of 4 lit, out: nearside front, offside rear.',
    ],
    [
      'code',
      said(findingOf('cabin.codes', '', { codes: [{ code: 'C 7', text: '', state: 'returned' }] })),
      'Code C 7, came back after clearing.',
    ],
    [
      'by hand',
      said(
        findingOf('belt.aux', '', { words: ['noisy'], override: { grade: 'pass', reason: 'New tensioner fitted.' } }),
      ),
      'Given by hand: New tensioner fitted. Computed advisory: Noisy.',
    ],
    ['either way', said(findingOf('coolant.strength', '')), 'share of glycol or freeze point'],
  ])('%s', (_, sentence, expected) => expect(sentence).toContain(expected));
});

test('a reading that will not last says the limit, the chance and the visit it would not reach', () => {
  const pad = findingOf('pad.inner', '1L', { readings: [readingOf('lining', 3.9)] });
  const nextVisit = '2026-12-01T08:00:00.000Z';
  const lookAhead: LookAhead = (ref, reading) => ({
    ...ref,
    measure: reading.measure,
    spot: reading.spot,
    value: readingValue(reading),
    limit: 1.5,
    chance: 0.314,
    nextVisit,
  });
  const sentence = gradeSentence(graded(pad, { lookAhead }));
  expect(sentence).toBe(
    '3.9 mm passes today; 31 % chance that it is under 1.5 before the next visit, about 1 Dec 2026.',
  );
  expect(gradeSentence(graded(pad))).not.toContain('chance');
});

describe('a forecast is a range in words, never a bare figure of nothing', () => {
  const outlook = (change: Partial<Outlook> = {}): Outlook => ({
    at: '2026-11-01T08:00:00.000Z',
    line: { travelled: 0, value: 4, rate: 0.0005, valueVariance: 0.01, rateVariance: 0, covariance: 0 },
    distance: { low: 2800, mid: 3400, high: 4100 },
    days: { low: 134, mid: 165, high: 208 },
    lookAgain: 140,
    from: 'readings',
    odd: 0,
    ...change,
  });
  const running = (change: Partial<Outlook> = {}): Forecast => ({ status: 'running-out', ...outlook(change) });
  test.each<[Forecast, string]>([
    [{ status: 'needs-readings', have: 0, want: 1 }, 'Needs a reading of this part; has none.'],
    [{ status: 'far-off', ...outlook() }, 'Does not reach 1.5 mm in any time one plans for.'],
    [{ status: 'reached', ...outlook() }, 'under 1.5 mm now'],
    [
      running(),
      'between mid-March and the end of May 2027, most likely in April 2027; in 2\u202f800 km to 4\u202f100 km',
    ],
    [running({ days: { low: 12, mid: 20, high: 40 } }), 'within 1 to 6 weeks of 1 Nov 2026'],
    [running({ days: { low: 134, mid: 400, high: null } }), 'not before mid-March 2027, most likely in December 2027'],
    [running({ days: { low: 40, mid: 60, high: 100 } }), 'between mid-December 2026 and early February 2027'],
    [running({ days: null, distance: { low: 2800, mid: 3400, high: null } }), 'no upper end'],
    [running({ from: 'fleet' }), 'what the fleet wears'],
    [running({ from: 'general' }), 'General figures'],
    [
      running({ perhaps: { factor: 2.04, chance: 0.597 } }),
      'may wear 2.0 times as fast lately (60 % sure): the range has both.',
    ],
    [running({ held: 0.61 }), 'Such ranges have held 6 times in 10 here, not 8.'],
    [running({ odd: 0.9 }), 'read it again'],
  ])('%j', (forecast, sentence) => {
    expect(forecastSentence(forecast, 'lining', 1.5, 'km')).toContain(sentence);
  });

  test.each<[Partial<Outlook>, string | null]>([
    [{}, 'Look again by 21 Mar 2027, before'],
    [{ lookAgain: 0 }, 'It may be past its limit already'],
    [{ lookAgain: null }, null],
    [{ lookAgain: 9000 }, null],
  ])('when to look again: %j', (change, sentence) => {
    const told = lookAgainSentence(running(change));
    expect(sentence === null ? told : told?.slice(0, sentence.length)).toBe(sentence);
    expect(lookAgainSentence({ status: 'far-off', ...outlook() })).toBeNull();
  });

  test('as short as it goes: the month, the distance where dates are not known, or why not', () => {
    expect(shortWhen(running(), 'km')).toBe('about Apr 2027');
    expect(shortWhen(running({ days: null }), 'km')).toBe('about 3\u202f400 km');
    expect(shortWhen({ status: 'far-off', ...outlook() }, 'km')).toBe('far off');
    expect(shortWhen({ status: 'needs-readings', have: 0, want: 1 }, 'km')).toBe('cannot tell yet');
    expect(shortWhen({ status: 'reached', ...outlook() }, 'km')).toBe('now');
  });
});

describe('a state in a sentence', () => {
  const base: StateTrend = {
    key: 'k',
    point: 'coolant.strength',
    place: '',
    measure: 'glycol',
    told: 'as-read',
    readings: [48, 41].map((value, n) => ({
      inspectionId: `v${n}`,
      at: `2026-0${n + 1}-10T08:00:00.000Z`,
      value,
      u: 1,
      phase: 'found',
      startsLine: false,
    })),
    limits: [
      { grade: 'advisory', bad: 'below', value: 40, inclusive: false, basis: 'house', source: '' },
      { grade: 'fail', bad: 'below', value: 25, inclusive: false, basis: 'house', source: '' },
    ],
    lostPerMonth: null,
    forecast: null,
  };
  const [first, last] = base.readings;
  const coolant = {
    stickSpanL: null,
    fluids: [{ ...PLAIN_FLUID, fluid: 'coolant', grade: '', capacityL: 7.5 }],
  } as const;
  const age: AgeForecast = {
    status: 'running-out',
    at: '2026-11-01T08:00:00.000Z',
    days: { low: 134, mid: 165, high: 208 },
    distance: null,
    lookAgain: 140,
    from: 'readings',
    odd: 0,
    beforeNext: null,
    daySteps: [],
    path: [],
  };
  const pressure = { ...base, measure: 'pressure', point: 'tyre.pressure', told: 'at-20' } as const;
  const battery = { ...base, measure: 'crank', point: 'battery.crank', told: 'of-rated', forecast: age } as const;
  const fail = [{ grade: 'fail', bad: 'below', value: 0.6, inclusive: false, basis: 'house', source: '' }] as const;
  test.each<[string, StateTrend, string]>([
    [
      'a mixture',
      base,
      'Changes only by what is put in. Was 48 %: thinned by what was topped up. About 0.2 L more of plain water',
    ],
    ['a mixture as it was', { ...base, readings: last ? [last, last] : [] }, 'in. About 0.2 L'],
    ['a pressure that holds', pressure, 'Holds.'],
    ['read once', { ...pressure, readings: first ? [first] : [] }, 'Read once.'],
    ['a pressure that is lost', { ...pressure, lostPerMonth: 4.2 }, 'Loses 4 kPa a month since 10 Jan 2026.'],
    [
      'a level since it was topped up',
      {
        ...base,
        measure: 'level',
        point: 'oil.level',
        lostPerMonth: 0.123,
        readings: base.readings.map((reading, n) => ({ ...reading, startsLine: n === 1 })),
      },
      'Loses 0.12 of the marks’ span a month since it was put right on 10 Feb 2026.',
    ],
    [
      'a battery',
      { ...battery, limits: fail },
      'Reaches 60 % of rated between mid-March and the end of May 2027, most likely in April 2027 (8 in 10).',
    ],
    [
      'a battery past it',
      { ...battery, limits: fail, forecast: { ...age, status: 'reached' } },
      'Is past 60 % of rated now.',
    ],
    [
      'one reading',
      { ...battery, limits: fail, forecast: { ...age, from: 'fleet' } },
      'nobody wrote down when it was renewed',
    ],
    ['far off', { ...battery, limits: fail, forecast: { ...age, status: 'far-off' } }, 'Does not reach 60 % of rated'],
  ])('%s', (_, trend, sentence) => expect(stateSentence(trend, coolant)).toContain(sentence));

  test('a level is told in litres where the spec sheet knows the span', () => {
    const level = { ...base, measure: 'level', point: 'oil.level', lostPerMonth: 0.123 } as const;
    const known = { ...coolant, stickSpanL: 1.2 };
    expect(stateSentence(level, known)).toContain('Loses 0.15 L a month since');
    expect(stateWords(level, 0.5, known)).toBe('0.50, 0.60 L under the top mark');
    expect(stateWords(level, 0.1, coolant)).toBe('0.10, just over the lower mark');
    expect(stateWords(pressure, 230, known)).toBe('230 kPa');
  });

  test('without a capacity no litres are told; what ages says when to look again', () => {
    expect(stateSentence(base, { fluids: [], stickSpanL: null })).not.toContain('water');
    expect(lookAgainSentence(age)).toContain('Look again by 21 Mar 2027');
    expect(shortWhen(age, 'km')).toBe('about Apr 2027');
    expect(shortWhen({ ...age, days: { low: 9, mid: null, high: null } }, 'km')).toBe('far off');
  });
});

describe('a date is said as far as it is meant', () => {
  const date = new Date(2027, 0, 3, 12);
  test.each([
    ['month', 'Jan'],
    ['longMonth', 'January'],
    ['year', '2027'],
    ['dayAndMonth', '3 Jan'],
    ['monthAndYear', 'Jan 2027'],
    ['monthAndShortYear', 'Jan 27'],
    ['longMonthAndYear', 'January 2027'],
    ['whole', '3 Jan 2027'],
  ] as const)('%s: %s', (part, said) => {
    expect(dateWords(date, part)).toBe(said);
  });
});
