import { letterSchema, newCalendarSchema, paperStyleSchema, priceListSchema } from './index';

const ID = '7f3f6a3e-6f7c-4f0e-9a53-0d5b9f5f0a01';
const fieldsOf = (read: {
  readonly error?: { readonly issues: readonly { readonly path: readonly PropertyKey[] }[] } | undefined;
}) => (read.error?.issues ?? []).map(({ path }) => path.join('.'));

describe('a letter', () => {
  const work = { id: ID, name: 'Brake pads', plain: '', why: '', when: 'soon', photos: [] };
  const letter = { vehicle: 'FH 07', from: '', verdict: 'Soon.', stops: false, works: [work], cautions: [] };

  test('of an older program is English, without prices and without pictures of before', () => {
    expect(letterSchema.parse(letter)).toMatchObject({ language: 'en', works: [{ price: '', before: null }] });
  });

  test.each([
    ['a language nobody ships', { language: 'xx' }, 'language'],
    ['no work', { works: [] }, 'works'],
    [
      'a picture of before without its day',
      { works: [{ ...work, before: { id: ID, caption: '' } }] },
      'works.0.before.at',
    ],
    ['a price longer than a line', { works: [{ ...work, price: 'x'.repeat(401) }] }, 'works.0.price'],
  ])('with %s is refused by its field', (_, change, field) => {
    expect(fieldsOf(letterSchema.safeParse({ ...letter, ...change }))).toEqual([field]);
  });
});

describe('a report on paper', () => {
  test('is the workshop’s own, in English on A4, where nothing is said', () => {
    expect(paperStyleSchema.parse({})).toEqual({ language: 'en', wording: 'workshop', size: 'A4' });
  });
  test.each([{ language: 'fr' }, { wording: 'insurer' }, { size: 'A3' }, { colour: 'no' }])(
    '%j is refused',
    (style) => {
      expect(paperStyleSchema.safeParse(style).success).toBe(false);
    },
  );
});

test('a calendar of a vehicle names one, no other does', () => {
  const taken = (of: string, vehicleId: string | null) => newCalendarSchema.safeParse({ of, vehicleId }).success;
  expect([taken('vehicle', ID), taken('workshop', null), taken('person', null)]).toEqual([true, true, true]);
  expect([taken('vehicle', null), taken('workshop', ID), taken('person', ID), taken('vehicle', 'x')]).toEqual(
    Array(4).fill(false),
  );
});

describe('a list of prices', () => {
  const list = { currency: 'EUR', taxPercent: 19, hourRate: 80, parts: [], times: [] };
  test('may leave work unpriced, and may be empty', () => {
    expect(priceListSchema.safeParse({ ...list, hourRate: null }).success).toBe(true);
  });
  test.each([
    ['a currency in small letters', { currency: 'eur' }, 'currency'],
    ['a tax below nothing', { taxPercent: -1 }, 'taxPercent'],
    ['an hour that costs no number', { hourRate: Number.NaN }, 'hourRate'],
    ['a price beyond all', { parts: [{ number: '', name: 'x', price: 1e7 }] }, 'parts.0.price'],
    ['half a minute', { times: [{ code: 'pads', minutes: 0.5 }] }, 'times.0.minutes'],
  ])('with %s is refused by its field', (_, change, field) => {
    expect(fieldsOf(priceListSchema.safeParse({ ...list, ...change }))).toContain(field);
  });
});
