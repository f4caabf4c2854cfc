import { BASELINE, CATALOGUE, gradePoint, type Forecast } from '@weskopos/core';
import { CAR, contextOf, findingOf, inspectionOf, readingOf, treadOf } from '@weskopos/core/src/tests/builders';
import { forecastSentence } from './forecastSentence';
import { gradeSentence, reasonSource } from './reasonSentence';
import { kilometres, placeInitials, placeWords, pointWords, roughKilometres } from './show';

const graded = (finding: ReturnType<typeof findingOf>, change = {}) =>
  gradePoint(finding, contextOf(CAR, [finding], change));
const leak = (change: object) =>
  findingOf('leak.engine', '', {
    leak: { stage: 'damp', fluid: 'engine-oil', place: null, reaches: 'nothing', wiped: false, ...change },
  });

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

test('every point of the catalogue has a name of its own', () => {
  const names = CATALOGUE.map(({ code }) => pointWords(code, '', 2));
  expect(new Set(names).size).toBe(CATALOGUE.length);
});

test('distances', () => {
  expect(kilometres(84_310)).toBe('84\u202f310 km');
  expect([13_260, 3449, 84].map(roughKilometres)).toEqual(['13\u202f000 km', '3\u202f400 km', '80 km']);
});

describe('a forecast is a range in words, never a bare figure of nothing', () => {
  const fit = { n: 3, intercept: 10, slope: -0.0005, meanX: 0, sxx: 1, sigma: 0.1, degreesOfFreedom: 5 };
  test.each<[Forecast, string]>([
    [{ status: 'needs-readings', have: 1, want: 2 }, 'Needs 2 readings'],
    [{ status: 'not-falling', fit }, 'Does not wear'],
    [{ status: 'reached', fit }, 'under 1.5 mm now'],
    [
      { status: 'running-out', fit, lowKm: 2800, midKm: 3400, highKm: 4100 },
      'at least 2\u202f800 km, at most 4\u202f100 km',
    ],
    [{ status: 'running-out', fit, lowKm: 2800, midKm: 3400, highKm: null }, 'no upper end'],
  ])('%j', (forecast, sentence) => {
    expect(forecastSentence(forecast, 'lining', 1.5)).toContain(sentence);
  });
});
