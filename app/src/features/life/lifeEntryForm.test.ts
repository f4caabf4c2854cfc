import { NO_DETAILS } from '@weskopos/core';
import { CAR } from '@weskopos/core/tests/builders';
import { blankEntry, contentOf, entryProblems, meterOf, placesOf, whenOf, type EntryForm } from './lifeEntryForm';

const facts = { vehicle: CAR, lastMeter: 50_000, now: '2026-06-01T08:00:00.000Z' };
const typed = (change: Partial<EntryForm>): EntryForm => ({ ...blankEntry(CAR), ...change });
const wrong = (change: Partial<EntryForm>) =>
  Object.entries(entryProblems(typed(change), facts)).flatMap(([field, words]) => (words ? [field] : []));

test.each<[string, Partial<EntryForm>, string[]]>([
  ['fuel without litres', { kind: 'fuel' }, ['litres']],
  ['fuel with words for litres', { kind: 'fuel', litres: 'full' }, ['litres']],
  ['too much fuel', { kind: 'fuel', litres: '1001' }, ['litres']],
  ['a price below nothing', { kind: 'fuel', litres: '40', price: '-1' }, ['price']],
  ['fuel with a decimal comma', { kind: 'fuel', litres: '40,5' }, []],
  ['a meter that is none', { kind: 'top-up', litres: '1', meter: 'abc' }, ['meter']],
  ['only the meter, and none', { kind: 'meter' }, ['meter']],
  ['a meter behind the last one, once', { kind: 'meter', meter: '49000' }, ['sure']],
  ['a meter behind the last one, again', { kind: 'meter', meter: '49000', sure: true }, []],
  ['a job of one’s own without its name', { kind: 'job', job: 'own', ownJob: ' ' }, ['ownJob']],
  ['a job that is to come', { kind: 'job', when: '2.6.2026' }, ['when']],
  ['a job before the vehicle was made', { kind: 'job', when: '2019' }, ['when']],
  ['a job on no day', { kind: 'job', when: 'in spring' }, ['when']],
  ['a job of long ago, on the meter of then', { kind: 'job', when: '03/2023', meter: '21000' }, []],
  ['a job that took no oil', { kind: 'job', jobLitres: '0' }, ['jobLitres']],
  ['a trip of no length', { kind: 'plan', trip: '0' }, ['trip']],
  ['a tyre without its wheel', { kind: 'fit', what: 'tyre' }, ['place']],
  ['a battery has no wheel', { kind: 'fit', what: 'battery' }, []],
  ['a new part of no thickness', { kind: 'fit', what: 'battery', fresh: '0' }, ['fresh']],
  ['what is wrong in another kind’s field', { kind: 'meter', meter: '51000', litres: 'x', trip: '-4' }, []],
])('%s', (_, change, fields) => {
  expect(wrong(change)).toEqual(fields);
});

test('what is typed becomes the entry, in stored units; nothing typed is null, never nought', () => {
  const now = '2026-06-01T08:00:00.000Z';
  const said = (change: Partial<EntryForm>) => contentOf(typed(change), CAR, now);
  expect(said({ kind: 'fuel', litres: '40,5', full: 'partial' })).toEqual({
    kind: 'fuel',
    litres: 40.5,
    full: false,
    price: null,
  });
  expect(said({ kind: 'job', job: 'own', ownJob: ' new mats ' })).toEqual({
    kind: 'job',
    job: { code: 'own', name: 'new mats' },
    ...NO_DETAILS,
  });
  const axle = {
    kind: 'job',
    job: 'axle-oil',
    axle: '2',
    jobLitres: '1,6',
    numbers: ' GL-5 ',
    paper: 'invoice',
  } as const;
  expect(said(axle)).toMatchObject({ place: '2', litres: 1.6, numbers: 'GL-5', paper: 'invoice' });
  // An axle chosen before is not carried over to a job of the whole vehicle.
  expect(said({ ...axle, job: 'coolant' })).toMatchObject({ place: '' });
  expect(whenOf(typed({ kind: 'job', when: '' }), CAR, now)).toBe(now);
  expect(whenOf(typed({ kind: 'job', when: '2023' }), CAR, now)).toMatch(/^202[23]-/);
  expect(said({ kind: 'plan', trip: '1000mi', weeks: '2' })).toEqual({
    kind: 'plan',
    distance: expect.closeTo(1609.3, 0) as number,
    until: '2026-06-15T08:00:00.000Z',
  });
  // A wheel chosen for a tyre is not carried over to a battery.
  expect(said({ kind: 'fit', what: 'battery', place: '1L' })).toMatchObject({ place: '', fresh: null });
  expect(placesOf('pads', CAR)).toEqual(['1L', '1R', '2R', '2L']);
  expect(meterOf(typed({}), CAR)).toBeNull();
  expect(meterOf(typed({ meter: '51200' }), CAR)).toBe(51_200);
});
