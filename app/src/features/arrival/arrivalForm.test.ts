import { blankInspection } from '@weskopos/core';
import {
  BLANK_ARRIVAL,
  arrivedWith,
  formOf,
  lastMeter,
  problemsOf,
  type ArrivalForm,
  type MeterFacts,
} from './arrivalForm';

const facts: MeterFacts = {
  unit: 'km',
  last: { meter: 50_000, at: '2026-01-01T08:00:00.000Z' },
  now: '2026-06-01T08:00:00.000Z',
};
const sound: Partial<ArrivalForm> = { meter: '52 000', state: 'warm' };
const typed = (change: Partial<ArrivalForm>): ArrivalForm => ({ ...BLANK_ARRIVAL, ...sound, ...change });
const wrong = (change: Partial<ArrivalForm>) => Object.keys(problemsOf(typed(change), facts));

test.each<[string, Partial<ArrivalForm>, string[]]>([
  ['all that is needed', {}, []],
  ['nothing at all', { meter: '', state: null }, ['meter', 'state']],
  ['words for a meter', { meter: 'full' }, ['meter']],
  ['a meter no vehicle has', { meter: '99999999' }, ['meter']],
  ['behind the last visit', { meter: '49000' }, ['answer']],
  ['behind, with an answer that fits', { meter: '49000', answer: 'meter-replaced' }, []],
  ['behind, with the answer to another question', { meter: '49000', answer: 'long-trip' }, ['answer']],
  ['an oven', { ambient: '61' }, ['ambient']],
  ['a frost', { ambient: '-12,5' }, []],
  ['hours it has stood, when it stands cold', { state: 'cold', stood: '-1' }, ['stood']],
  ['hours it has stood, when it came in hot', { state: 'hot', stood: '-1' }, []],
])('%s', (_, change, fields) => {
  expect(wrong(change)).toEqual(fields);
});

test('what is typed becomes the visit, in stored units', () => {
  const said = typed({
    meter: '32311mi',
    state: 'cold',
    stood: '9',
    ambient: '14.26',
    fuel: 'quarter',
    complaint: ' pulls ',
  });
  expect(arrivedWith(said, facts)).toMatchObject({
    meter: 52_000,
    meterAnswer: null,
    stoodH: 9,
    ambientC: 14.3,
    fuel: 0.25,
    complaint: 'pulls',
  });
  expect(arrivedWith(typed({ state: 'hot', stood: '9' }), facts)).toMatchObject({
    stoodH: null,
    ambientC: null,
    fuel: null,
  });
  // An answer given to a doubt that is gone is not kept.
  expect(arrivedWith(typed({ answer: 'long-trip' }), facts).meterAnswer).toBeNull();
  expect(() => arrivedWith(typed({ meter: '' }), facts)).toThrow();
});

describe('an arrival that is corrected', () => {
  const inspection = blankInspection({
    id: 'v',
    vehicleId: 'c',
    startedAt: facts.now,
    meter: 52_000,
    state: 'warm',
    stoodH: 3.5,
    ambientC: -4.5,
    fuel: 0.75,
    load: 'full',
    complaint: 'pulls',
    corners: ['one'],
  });

  test('is typed as it was said, and kept unchanged says the same', () => {
    const form = formOf(inspection, 'km');
    expect(form).toMatchObject({ meter: '52000', stood: '3.5', ambient: '-4.5', fuel: 'three-quarters' });
    expect(problemsOf(form, facts)).toEqual({});
    expect({ ...inspection, ...arrivedWith(form, facts) }).toEqual(inspection);
    const hours = { ...inspection, meter: 812.4, stoodH: null, ambientC: null, fuel: null };
    expect(arrivedWith(formOf(hours, 'h'), { ...facts, unit: 'h', last: null })).toMatchObject({
      meter: 812.4,
      stoodH: null,
      ambientC: null,
      fuel: null,
    });
  });

  test('is held against the visit before it: not itself, not a later one, none that was given up', () => {
    const of = (id: string, meter: number, startedAt: string, voidedAt: string | null = null) => ({
      inspection: { ...inspection, id, meter, startedAt, voidedAt },
    });
    const visits = [
      of('a', 50_000, '2026-01-01T08:00:00.000Z'),
      of('b', 90_000, '2026-02-01T08:00:00.000Z', '2026-02-02T08:00:00.000Z'),
      { inspection },
      of('d', 53_000, '2026-07-01T08:00:00.000Z'),
    ];
    expect(lastMeter(visits, inspection)).toEqual({ meter: 50_000, at: '2026-01-01T08:00:00.000Z' });
    expect(lastMeter(visits)?.meter).toBe(53_000);
    expect(lastMeter([])).toBeNull();
  });
});
