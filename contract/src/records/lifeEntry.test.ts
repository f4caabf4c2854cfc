import { NO_DETAILS, changeOfSets } from '@weskopos/core';
import { lifeEntrySchema, operationSchema, storedLifeEntrySchema } from '../index';

const ID = '00000000-0000-4000-8000-00000000000a';
const common = { id: ID, vehicleId: ID, at: '2026-06-01T08:00:00.000Z', meter: 84_310 };
const fit = { ...common, kind: 'fit', what: 'tyre', place: '1L', fresh: 8, note: '' };
const rotate = {
  ...common,
  kind: 'rotate',
  moves: [
    { from: '1L', to: '2L' },
    { from: '2L', to: '1L' },
  ],
};

describe('an entry of a life', () => {
  test.each([
    ['a part fitted', fit],
    ['one that was not measured', { ...fit, fresh: null, meter: null }],
    ['one of a dual wheel', { ...fit, place: '2Lo' }],
    ['one that sits nowhere special', { ...fit, what: 'battery', place: '' }],
    ['a rotation', rotate],
    [
      'one with the spare',
      {
        ...rotate,
        moves: [
          { from: 'spare', to: '2R' },
          { from: '2R', to: 'spare' },
        ],
      },
    ],
    ['a change of two sets', { ...rotate, moves: changeOfSets(['1L', '2Ro']) }],
    ['a misread', { ...common, kind: 'misread', inspectionId: ID, point: 'tyre.tread', place: '1L', spot: 'inner' }],
    ['fuel', { ...common, kind: 'fuel', litres: 48.2, full: true, price: 71.4 }],
    ['a top-up', { ...common, kind: 'top-up', fluid: 'engine-oil', litres: 0.5 }],
    ['a top-up of urea solution', { ...common, kind: 'top-up', fluid: 'urea', litres: 5 }],
    ['the meter', { ...common, kind: 'meter' }],
    ['a job', { ...common, kind: 'job', job: { code: 'engine-oil', name: 'Engine oil and filter' }, ...NO_DETAILS }],
    ['a coming trip', { ...common, kind: 'plan', distance: 3000, until: '2099-01-01T08:00:00.000Z' }],
    ['an undo', { ...common, kind: 'undo', refers: ID }],
  ])('%s is taken as it is', (_, entry) => {
    expect(lifeEntrySchema.parse(entry)).toEqual(entry);
    const operation = { id: ID, at: common.at, device: 'test', kind: 'entry.put', body: entry };
    expect(operationSchema.safeParse(operation).success).toBe(true);
    expect(storedLifeEntrySchema.parse({ ...entry, by: 'Isla' })).toEqual({ ...entry, by: 'Isla' });
  });

  test.each([
    ['an unknown kind', { ...common, kind: 'wash' }, 'kind'],
    ['a part of no kind', { ...fit, what: 'wing' }, 'what'],
    ['a place that is a sentence', { ...fit, place: 'front left' }, 'place'],
    ['a new value below nothing', { ...fit, fresh: -1 }, 'fresh'],
    ['a new value of a plank', { ...fit, fresh: 400 }, 'fresh'],
    ['a rotation of nothing', { ...rotate, moves: [] }, 'moves'],
    [
      'a wheel that goes to two places',
      {
        ...rotate,
        moves: [
          { from: '1L', to: '2L' },
          { from: '1L', to: '1R' },
        ],
      },
      'moves',
    ],
    [
      'a wheel left over',
      {
        ...rotate,
        moves: [
          { from: '1L', to: '2L' },
          { from: '2L', to: '2R' },
        ],
      },
      'moves',
    ],
    ['a tyre in no store', { ...rotate, moves: [{ from: 'kept-1', to: 'kept-1' }] }, 'moves.0.from'],
    ['litres below nothing', { ...common, kind: 'fuel', litres: -2, full: true, price: null }, 'litres'],
    ['a tanker', { ...common, kind: 'top-up', fluid: 'coolant', litres: 5000 }, 'litres'],
    ['a fluid nobody logs', { ...common, kind: 'top-up', fluid: 'tea', litres: 1 }, 'fluid'],
    ['a price below nothing', { ...common, kind: 'fuel', litres: 2, full: true, price: -1 }, 'price'],
    ['a meter below nothing', { ...common, kind: 'meter', meter: -5 }, 'meter'],
    [
      'a trip done before it was told',
      { ...common, kind: 'plan', distance: 30, until: '2001-01-01T08:00:00.000Z' },
      'until',
    ],
    ['a trip round the sun', { ...common, kind: 'plan', distance: 9e8, until: '2099-01-01T08:00:00.000Z' }, 'distance'],
    [
      'a job of one’s own without a name',
      { ...common, kind: 'job', job: { code: 'own', name: '  ' }, ...NO_DETAILS },
      'job.name',
    ],
    ['a job nobody knows', { ...common, kind: 'job', job: { code: 'polishing', name: '' }, ...NO_DETAILS }, 'job.code'],
    ['an undo of nothing', { ...common, kind: 'undo', refers: 'the last' }, 'refers'],
    ['a time that is none', { ...fit, at: 'yesterday' }, 'at'],
    ['a field nobody asked for', { ...fit, colour: 'black' }, ''],
  ])('%s is refused at its field', (_, entry, field) => {
    const { error } = lifeEntrySchema.safeParse(entry);
    expect(error?.issues.map(({ path }) => path.join('.'))).toContain(field);
  });
});

test('urea solution of before, under a trade mark, is urea solution; a fluid nobody knows is refused', () => {
  const topUp = (fluid: string) =>
    operationSchema.safeParse({
      id: ID,
      at: common.at,
      device: 'test',
      kind: 'entry.put',
      body: { ...common, kind: 'top-up', fluid, litres: 5 },
    });
  expect(topUp('adxxxx').data?.body).toMatchObject({ fluid: 'urea' });
  expect([topUp('petrol').success, topUp('advanced').success]).toEqual([false, false]);
});
