import fc from 'fast-check';
import { parseMeasure, parseWeekCode } from './parseMeasure';
import { fromStored, toStored, UNITS, type Unit } from './units';

const units = Object.keys(UNITS) as Unit[];

describe('units', () => {
  test.each([
    [35, 'psi', 241.3165, 4],
    [2, '/32in', 1.5875, 10],
    [2.4, 'bar', 240, 10],
    [100, 'mi', 160.9344, 10],
    [32, '°F', 0, 10],
    [212, '°F', 100, 10],
    [85, 'lb·ft', 115.2445, 4],
    [4, 'US qt', 3.785411784, 9],
    [1, 'imp gal', 4.54609, 9],
    [500, 'ml', 0.5, 9],
  ] as const)('%d %s is stored as %d', (shown, unit, stored, digits) => {
    expect(toStored(shown, unit)).toBeCloseTo(stored, digits);
  });

  test('every unit goes there and back', () => {
    expect(units.length).toBeGreaterThan(5);
    fc.assert(
      fc.property(fc.constantFrom(...units), fc.double({ min: -1e6, max: 1e6, noNaN: true }), (unit, value) => {
        expect(fromStored(toStored(value, unit), unit)).toBeCloseTo(value, 6);
      }),
    );
  });
});

describe('typed values', () => {
  test.each([
    ['5.5', 'mm', 5.5],
    ['5,5', 'mm', 5.5],
    [' 35 psi ', 'kPa', 241.3165],
    ['2.4bar', 'kPa', 240],
    ['2/32', 'mm', 1.5875],
    ['−5', '°C', -5],
    ['41F', '°C', 5],
    ['52390 mi', 'km', 84313.53216],
    ['.5', 'mm', 0.5],
    ['1/2 qt', 'L', 0.473],
    ['1 1/2 qt', 'L', 1.4195],
    ['85 lb ft', 'N·m', 115.2445],
    ['3/4', 'level', 0.75],
    ['6/32in', 'mm', 4.7625],
    ['12.4v', 'V', 12.4],
    ['84 310', 'km', 84310],
    ['1\u202f234\u202f567 km', 'km', 1234567],
    ['52 390mi', 'km', 84313.53216],
    ['1 125/1000', 'mm', 1.125],
    ['2 min', 's', 120],
  ] as const)('“%s” in a field of %s is %d', (typed, usual, stored) => {
    const parsed = parseMeasure(typed, usual);
    expect(parsed.status).toBe('value');
    if (parsed.status === 'value') expect(parsed.stored).toBeCloseTo(stored, 3);
  });

  test.each([
    ['five', 'mm'],
    ['35 psi', 'mm'],
    ['3 4', 'mm'],
    ['5..5', 'mm'],
    ['1e3', 'mm'],
    ['-', 'mm'],
    ['5 constructor', 'mm'],
    ['5 __proto__', 'mm'],
  ] as const)('“%s” in a field of %s is not read as anything', (typed, usual) => {
    expect(parseMeasure(typed, usual).status).toBe('unreadable');
  });

  test('nothing typed is empty, not zero', () => {
    expect(parseMeasure('  ', 'mm')).toEqual({ status: 'empty' });
  });
});

describe('the week moulded into a tyre', () => {
  test.each([
    ['0523', 202305, false],
    ['5320', 202053, false],
    ['14 21', 202114, false],
    ['14/21', 202114, false],
    ['523', 199952, true],
  ])('“%s”', (typed, yyyyww, before2000) => {
    expect(parseWeekCode(typed)).toEqual({ status: 'week', yyyyww, before2000 });
  });
  test.each(['5420', '5321', '5300', '0023', '14 2', '1 421', '12', '12345', 'abcd', ''])(
    '“%s” is no week',
    (typed) => {
      expect(parseWeekCode(typed)).toEqual({ status: 'unreadable' });
    },
  );
});
