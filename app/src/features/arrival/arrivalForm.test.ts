import { BLANK_ARRIVAL, arrivedWith, problemsOf, type ArrivalForm, type MeterFacts } from './arrivalForm';

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
