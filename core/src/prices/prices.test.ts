import fc from 'fast-check';
import { costOf, type PriceList } from './priceList';
import { decimalOf, readPrice } from './readPrice';
import { readPriceTable } from './readPriceTable';

describe('a price as people write it', () => {
  test.each([
    ['12', 12],
    ['12.50', 12.5],
    ['12,5', 12.5],
    ['1.234,50 €', 1234.5],
    ['£ 1,234.50', 1234.5],
    ['1 234,50', 1234.5],
    ["CHF 1'200.-", 1200],
    ['EUR 12,00', 12],
    ['12,00EUR', 12],
    ['$0.99', 0.99],
    ['1,234,567.89', 1_234_567.89],
    ['1.234.567', 1_234_567],
    ['.5', 0.5],
    ['0', 0],
  ])('%s', (text, price) => expect(readPrice(text, null)).toEqual({ status: 'price', price }));

  test.each([
    ['', 'empty'],
    ['free', 'unreadable'],
    ['12.50.7', 'unreadable'],
    ['1,23,4', 'unreadable'],
    ['-5', 'negative'],
    ['1.234', 'doubtful'],
    ['1,234 €', 'doubtful'],
    ['=1+1', 'unreadable'],
    ['NaN', 'unreadable'],
  ])('%s is %s', (text, status) => expect(readPrice(text, null).status).toBe(status));

  test('one sign with three digits behind it is read as the rest of its list is, and never guessed', () => {
    expect(readPrice('1.234', 'comma')).toEqual({ status: 'price', price: 1234 });
    expect(readPrice('1.234', 'point')).toEqual({ status: 'price', price: 1.234 });
    expect(readPrice('12,50', 'point').status).toBe('unreadable');
    expect(decimalOf(['1.234', '12,50'])).toBe('comma');
    expect(decimalOf(['1,234', '12.50'])).toBe('point');
    expect(decimalOf(['1.234', '7'])).toBeNull();
  });

  test('whatever is written in either way is read as it was meant', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: 99_999_999 }),
        fc.constantFrom('de-DE', 'en-GB'),
        fc.constantFrom('€', '£', ''),
        (cents, locale, sign) => {
          const text = `${(cents / 100).toLocaleString(locale, { minimumFractionDigits: 2 })} ${sign}`;
          expect(readPrice(text, null)).toEqual({ status: 'price', price: cents / 100 });
        },
      ),
    );
  });
});

const LIST: PriceList = {
  currency: 'EUR',
  taxPercent: 19,
  hourRate: 80,
  parts: [
    { number: 'P-100', name: 'Pad set, front', price: 42.5 },
    { number: '', name: 'Brake cleaner', price: 3.99 },
  ],
  times: [{ code: 'pads', minutes: 90 }],
};
const part = (name: string, number = '', count = 1) => ({ name, number, count });

describe('what a work comes to', () => {
  test('parts by their number or name, work by its time, tax on both, to the cent', () => {
    const work = {
      task: { code: 'pads' as const },
      parts: [part('set', 'p 100'), part('brake CLEANER', '', 2)],
      minutes: 60,
    };
    expect(costOf(work, LIST)).toEqual({
      parts: 50.48,
      labour: 80,
      tax: 24.79,
      total: 155.27,
      unpriced: [],
      labourOpen: false,
    });
    expect(costOf({ ...work, minutes: null }, LIST)).toMatchObject({ labour: 120 });
  });

  test('what has no price is named and left out; nothing at all is no price', () => {
    const other = { task: { code: 'tyres' as const }, parts: [part('Tyre')], minutes: null };
    expect(costOf(other, LIST)).toBeNull();
    expect(costOf({ ...other, parts: [part('Tyre'), part('Brake cleaner')] }, LIST)).toMatchObject({
      unpriced: ['Tyre'],
      labourOpen: true,
      parts: 3.99,
    });
    expect(costOf({ ...other, minutes: 30 }, { ...LIST, hourRate: null })).toBeNull();
  });
});

describe('a table of prices', () => {
  const workOf = (name: string) => (name === 'Brake pads' ? ('pads' as const) : null);
  test('rows with a price are parts, rows with a time are works; what cannot be taken is named by its row', () => {
    const read = readPriceTable(
      [
        ['Number', 'Name', 'Price', 'Hours'],
        ['P-1', 'Pad set', '42,50 €', ''],
        ['P-2', 'Disc', '1.234', ''],
        ['', 'Brake pads', '', '1,5'],
        ['', 'Rain dance', '', '1'],
        ['P-1', 'Pad set again', '1,00', ''],
        ['P-3', 'Free', 'ask', ''],
        ['P-4', 'Back', '-3', ''],
        ['', '', '5', ''],
        ['P-5', 'Nothing', '', ''],
        ['', '', '', ''],
      ],
      null,
      workOf,
    );
    expect(read.parts).toEqual([
      { number: 'P-1', name: 'Pad set', price: 42.5 },
      { number: 'P-2', name: 'Disc', price: 1234 },
    ]);
    expect(read.times).toEqual([{ code: 'pads', minutes: 90 }]);
    expect(read.problems.map(({ row, problem }) => [row, problem])).toEqual([
      [5, 'no-such-work'],
      [6, 'twice'],
      [7, 'unreadable'],
      [8, 'negative'],
      [9, 'no-name'],
      [10, 'no-figure'],
    ]);
  });

  test('one that leaves in doubt how it writes its cents asks; told, it takes them', () => {
    const rows = [
      ['name', 'price'],
      ['Disc', '1.234'],
    ];
    expect(readPriceTable(rows, null, workOf).problems).toMatchObject([{ row: 2, problem: 'doubtful' }]);
    expect(readPriceTable(rows, 'point', workOf).parts).toMatchObject([{ price: 1.234 }]);
    expect(readPriceTable([['x'], ['y']], null, workOf).missing).toEqual(['name', 'price']);
  });
});
