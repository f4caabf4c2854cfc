import { readDay, readFigure, type DayOrder, type SheetCell } from './readCell';
import { guessStyle } from './guessStyle';

describe('a figure', () => {
  test.each<[SheetCell, 'point' | 'comma', number | null]>([
    ['5.5', 'point', 5.5],
    ['5,5', 'comma', 5.5],
    ['1,234.5', 'point', 1234.5],
    ['1.234,5', 'comma', 1234.5],
    ['1 234,5', 'comma', 1234.5],
    ["84'312", 'point', 84312],
    ['84.312', 'comma', 84312],
    ['84,312', 'point', 84312],
    ['-0,3', 'comma', -0.3],
    ['−4', 'point', -4],
    ['.5', 'point', 0.5],
    ['5.', 'point', 5],
    [7.25, 'comma', 7.25],
    ['2/32', 'point', 1.5875],
    ['5.5 mm', 'point', 5.5],
    // A mark that is none of this table's: not read as something else.
    ['5,5', 'point', null],
    ['5.5', 'comma', null],
    ['1.234,5', 'point', null],
    ['1,23,4', 'point', null],
    ['five', 'point', null],
    ['5.5 bar', 'point', null],
    ['', 'point', null],
    ['.', 'point', null],
    [true, 'point', null],
  ])('%j with decimal %s is %j mm', (cell, decimal, value) => {
    const read = readFigure(cell, 'mm', { decimal });
    expect(read.status === 'value' ? read.stored : null).toEqual(value === null ? null : expect.closeTo(value, 9));
  });

  test('a unit behind it counts, whatever the column is in', () => {
    expect(readFigure('35 psi', 'bar', { decimal: 'point' })).toEqual({
      status: 'value',
      stored: expect.closeTo(241.3, 1),
    });
    expect(readFigure('2,4', 'bar', { decimal: 'comma' })).toEqual({ status: 'value', stored: 240 });
    expect(readFigure('52 390 mi', 'km', { decimal: 'point' })).toEqual({
      status: 'value',
      stored: expect.closeTo(84313.5, 1),
    });
  });
});

describe('a day', () => {
  test.each<[SheetCell, DayOrder, string | null]>([
    ['03.04.2026', 'dmy', '2026-04-03T12:00:00.000Z'],
    ['03/04/2026', 'mdy', '2026-03-04T12:00:00.000Z'],
    ['3-4-26', 'dmy', '2026-04-03T12:00:00.000Z'],
    ['3 Apr 2026', 'dmy', '2026-04-03T12:00:00.000Z'],
    ['Apr 3, 2026', 'mdy', '2026-04-03T12:00:00.000Z'],
    ['3. April 2026', 'dmy', '2026-04-03T12:00:00.000Z'],
    ['2026-04-03', 'dmy', '2026-04-03T12:00:00.000Z'],
    ['2026/4/3', 'mdy', '2026-04-03T12:00:00.000Z'],
    ['03.04.2026 14:30', 'dmy', '2026-04-03T14:30:00.000Z'],
    ['4/3/2026 2:30 PM', 'mdy', '2026-04-03T14:30:00.000Z'],
    ['2026-04-03T08:05:00.000Z', 'mdy', '2026-04-03T08:05:00.000Z'],
    ['2026-04-03T10:05:00+02:00', 'mdy', '2026-04-03T08:05:00.000Z'],
    ['2026-04-03T08:05:09', 'dmy', '2026-04-03T08:05:09.000Z'],
    // As spreadsheets count.
    [46115, 'dmy', '2026-04-03T12:00:00.000Z'],
    ['46115', 'mdy', '2026-04-03T12:00:00.000Z'],
    [46115.25, 'dmy', '2026-04-03T06:00:00.000Z'],
    [new Date('2026-04-03T00:00:00Z'), 'dmy', '2026-04-03T12:00:00.000Z'],
    ['31.02.2026', 'dmy', null],
    ['2026-13-01', 'ymd', null],
    ['99999', 'dmy', null],
    ['yesterday', 'dmy', null],
    ['26', 'dmy', null],
  ])('%j in order %s is %s', (cell, order, at) => {
    const read = readDay(cell, order);
    expect(read.status === 'day' ? read.at : null).toBe(at);
  });

  test('one that would be a day in another order says so', () => {
    expect(readDay('04/13/2026', 'dmy')).toEqual({ status: 'unreadable', otherwise: 'mdy' });
    expect(readDay('13/04/2026', 'mdy')).toEqual({ status: 'unreadable', otherwise: 'dmy' });
    expect(readDay('no', 'mdy')).toEqual({ status: 'unreadable', otherwise: null });
  });
});

describe('how a table writes', () => {
  test.each([
    [[['03/04/2026', '5.5']], ',', 'point', 'dmy', true],
    [
      [
        ['03/04/2026', '5.5'],
        ['13/04/2026', '4'],
      ],
      ',',
      'point',
      'dmy',
      false,
    ],
    [
      [
        ['03/04/2026', '5,5'],
        ['04/13/2026', '4'],
      ],
      ';',
      'comma',
      'mdy',
      false,
    ],
    [[['2026-04-03', '84,312']], '\t', 'point', 'ymd', false],
    [[['3.4.2026', '84.312', '5,5']], ';', 'comma', 'dmy', true],
    [[['5/5/2026', '1']], ';', 'comma', 'dmy', false],
    [[['', '']], ',', 'point', 'dmy', false],
  ] as const)('%j between %j', (rows, separator, decimal, days, daysUnsure) => {
    const told = guessStyle(rows, separator);
    expect(told.decimal).toBe(decimal);
    expect(told.daysUnsure).toBe(daysUnsure);
    if (days !== 'ymd') expect(told.days).toBe(days);
  });
});
