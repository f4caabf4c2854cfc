import { FLUIDS, LEAK_STAGES } from '../catalogue/leaks';
import { MEASURES, MEASURE_CODES } from '../catalogue/measures';
import { CATALOGUE, cataloguePoint, isPointCode, pointKey } from '../catalogue/points';
import { VOCABULARIES, WORDS } from '../catalogue/words';
import { judgeValue } from '../grading/judgeValue';
import { worstGrade } from '../grading/grade';
import { CLOSE_CALL_FACTOR, standardUncertainty } from '../grading/uncertainty';
import { VEHICLE_CLASSES } from '../vehicle/vehicle';
import { BASELINE } from './baseline';
import { limitRows, valueThresholds, type Threshold } from './limitSheet';

describe('the baseline sheet', () => {
  test('has limits for every measure of the catalogue and every class', () => {
    for (const measure of MEASURE_CODES) {
      for (const vehicleClass of VEHICLE_CLASSES)
        expect(limitRows(BASELINE, measure, vehicleClass).length).toBeGreaterThan(0);
    }
  });

  test('no class has two rows of one kind for a measure', () => {
    for (const measure of MEASURE_CODES) {
      for (const vehicleClass of VEHICLE_CLASSES) {
        const kinds = limitRows(BASELINE, measure, vehicleClass).map(({ kind }) => kind);
        expect(new Set(kinds).size).toBe(kinds.length);
      }
    }
  });

  test('value limits can be read on their gauge, and advice comes before failing', () => {
    for (const measure of MEASURE_CODES) {
      for (const side of ['below', 'above'] as const) {
        const edges = valueThresholds(BASELINE, measure, 'car').filter(({ bad }) => bad === side);
        for (const { value } of edges)
          expect(value >= MEASURES[measure].least && value <= MEASURES[measure].most).toBe(true);
        const advisory = edges.find(({ grade }) => grade === 'advisory');
        const fail = edges.find(({ grade }) => grade === 'fail');
        if (advisory && fail)
          expect(side === 'below' ? advisory.value > fail.value : advisory.value < fail.value).toBe(true);
      }
    }
  });

  test('grades every fluid at every stage and every word there is, and names its sources', () => {
    for (const fluid of FLUIDS) expect(Object.keys(BASELINE.leaks[fluid])).toEqual(LEAK_STAGES.slice(1));
    expect(Object.keys(BASELINE.words).sort()).toEqual([...WORDS].sort());
    for (const { thresholds } of BASELINE.rows) for (const { source } of thresholds) expect(source).not.toBe('');
  });
});

describe('the catalogue', () => {
  test('codes are their own names, once each', () => {
    expect(new Set(CATALOGUE.map(({ code }) => code)).size).toBe(14);
    expect(isPointCode('tyre.tread')).toBe(true);
    expect(isPointCode('tyre.nothing')).toBe(false);
    expect(() => cataloguePoint('tyre.nothing' as never)).toThrow(RangeError);
    expect([pointKey('cold.oil', ''), pointKey('pad.inner', '2R')]).toEqual(['cold.oil', 'pad.inner@2R']);
  });

  test('a point has what its kind needs', () => {
    for (const point of CATALOGUE) {
      expect(point.measure !== null).toBe(point.kind === 'measure');
      expect(point.leakPlaces.length > 0).toBe(point.kind === 'leak');
      if (point.kind === 'words') expect(VOCABULARIES[point.vocabulary].length).toBeGreaterThan(3);
      if (point.station !== 'arrival') expect(point.deck).not.toBeNull();
    }
  });

  test('outside first', () => {
    expect(cataloguePoint('tyre.tread').spots).toEqual(['outer', 'centre', 'inner']);
    const codes = CATALOGUE.map(({ code }) => code);
    expect(codes.indexOf('pad.outer')).toBeLessThan(codes.indexOf('pad.inner'));
  });
});

describe('judging one value', () => {
  const edge = (change: Partial<Threshold>): Threshold => ({
    grade: 'fail',
    bad: 'below',
    value: 2,
    inclusive: false,
    basis: 'house',
    source: 's',
    ...change,
  });

  test.each([
    ['under a minimum', 1.9, edge({}), 'fail'],
    ['at a minimum', 2, edge({}), 'pass'],
    ['at an inclusive minimum', 2, edge({ inclusive: true }), 'fail'],
    ['over a maximum', 2.1, edge({ bad: 'above' }), 'fail'],
    ['at a maximum', 2, edge({ bad: 'above' }), 'pass'],
    ['at an inclusive maximum', 2, edge({ bad: 'above', inclusive: true }), 'fail'],
    ['at a minimum but for binary noise', 0.1 + 0.2 + 1.7 - 1e-12, edge({}), 'pass'],
  ])('%s', (_, value, threshold, grade) => {
    expect(judgeValue(value, [threshold], 0, false)?.grade).toBe(grade);
  });

  test('without an edge there is nothing to judge by', () => {
    expect(judgeValue(1, [], 0.1, true)).toBeUndefined();
  });

  test('a close call is nearer than 1.645 u, on either side', () => {
    const u = 0.1;
    const close = (value: number) => judgeValue(value, [edge({})], u, false)?.closeCall;
    expect([2 - CLOSE_CALL_FACTOR * u - 0.001, 1.9, 2.1, 2 + CLOSE_CALL_FACTOR * u + 0.001].map(close)).toEqual([
      false,
      true,
      true,
      false,
    ]);
  });

  test('guarded, near a lone fail limit is advised, not failed', () => {
    expect(judgeValue(2.05, [edge({})], 0.1, true)?.grade).toBe('advisory');
    expect(judgeValue(1.95, [edge({})], 0.1, true)?.grade).toBe('fail');
  });
});

test('repeats shrink the scatter but not the gauge’s step', () => {
  const gauge = { step: 0.5, repeatability: 0.2 };
  expect(standardUncertainty(gauge, 1)).toBeCloseTo(Math.sqrt(0.25 / 12 + 0.04), 10);
  expect(standardUncertainty(gauge, 1e9)).toBeCloseTo(0.5 / Math.sqrt(12), 4);
  expect(() => standardUncertainty(gauge, 0)).toThrow(RangeError);
});

test('the worst of none is not seen', () => {
  expect(worstGrade([])).toBe('not-seen');
  expect(worstGrade(['pass', 'not-seen'])).toBe('not-seen');
  expect(worstGrade(['advisory', 'not-seen', 'fail'])).toBe('fail');
});
