/** @jest-environment node */
import type { Life, YardEntry } from '@weskopos/contract';
import { CAR, inspectionOf } from '@weskopos/core/tests/builders';
import { ONESELF, placesFor } from './places';
import { waitingAt } from './useWaiting';
import { hasOwnSpine, isWalk, vehicleOf, vehiclePages } from './vehiclePages';

/** Where one is by the spine: exactly one of its stops. */
const here = (path: string, open: string | null = null) => {
  const vehicle = vehicleOf(path);
  return [...placesFor('lead'), ONESELF, ...(vehicle ? vehiclePages(vehicle, open) : [])]
    .filter(({ holds }) => holds.test(path))
    .map(({ id }) => id);
};

test.each([
  ['/', 'yard'],
  ['/fleet', 'fleet'],
  ['/bench', 'bench'],
  ['/scorecard', 'scores'],
  ['/rules', 'rules'],
  ['/people', 'people'],
  ['/me', 'me'],
  ['/vehicle/a', 'now'],
  ['/vehicle/a/arrive', 'now'],
  ['/vehicle/a/wear', 'wear'],
  ['/vehicle/a/trend/tyre.tread%401L', 'wear'],
  ['/vehicle/a/life', 'life'],
  ['/vehicle/a/compare', 'life'],
  ['/vehicle/a/history', 'life'],
  ['/vehicle/a/visit/v/report', 'life'],
  ['/vehicle/a/visit/v/amend', 'life'],
  ['/vehicle/a/visit/v/sticker', 'life'],
  ['/vehicle/a/spec', 'spec'],
  ['/vehicle/a/edit', 'spec'],
])('%s is at %s', (path, id) => expect(here(path)).toEqual([id]));

test.each([
  ['/vehicle/a', 'now'],
  ['/vehicle/a/arrive', 'visit'],
  ['/vehicle/a/visit/v', 'visit'],
  ['/vehicle/a/visit/v/gate', 'visit'],
  ['/vehicle/a/visit/v/ends', 'visit'],
  ['/vehicle/a/visit/v/overview', 'visit'],
  ['/vehicle/a/visit/v/arrival', 'visit'],
  ['/vehicle/a/visit/old/report', 'life'],
])('while a visit is half done %s is at %s', (path, id) => expect(here(path, 'v')).toEqual([id]));

test('each key leads to one stop', () => {
  const letters = [...placesFor('lead'), ONESELF, ...vehiclePages('a', 'v')].map(({ letter }) => letter);
  expect(new Set(letters).size).toBe(letters.length);
});

test('rules, people and data are for leads', () => {
  const ids = (role: 'lead' | 'inspector') => placesFor(role).map(({ id }) => id);
  expect(ids('inspector')).toEqual(['yard', 'works', 'fleet', 'bench', 'scores']);
  expect(ids('lead')).toEqual([...ids('inspector'), 'rules', 'people', 'data']);
});

test('a vehicle that is being added has no pages yet; the walk has a line of its own', () => {
  expect(vehicleOf('/vehicle/new')).toBeNull();
  expect(vehicleOf('/fleet')).toBeNull();
  expect(isWalk('/vehicle/a/visit/v')).toBe(true);
  expect(isWalk('/vehicle/a/visit/v/ends')).toBe(false);
  expect([isWalk('/vehicle/a/visit/v/gate'), hasOwnSpine('/vehicle/a/visit/v/gate')]).toEqual([false, true]);
});

test('a figure counts what waits: vehicles on the lift, what hangs open at this one, what was not taken', () => {
  const entry = (id: string, open: boolean) =>
    ({ vehicle: { ...CAR, id }, open: open ? {} : null }) as unknown as YardEntry;
  const life = (signedAt: string | null) =>
    ({
      vehicle: CAR,
      visits: [
        {
          inspection: inspectionOf(CAR, { signedAt }),
          acts: [
            { id: 'a', kind: 'open', end: 'filler-cap', place: '', at: '2026-06-01T08:00:00.000Z', fasteners: null },
          ],
        },
      ],
    }) as unknown as Life;
  // This device knows better than what the workshop told last, and by the life at hand better than by its brief.
  const entries = [entry('a', true), entry('b', false), entry('c', true)];
  const briefs = { a: entry('a', false), b: entry('b', true), c: entry('c', true) };
  const waiting = waitingAt(entries, briefs, { c: life('2026-06-01T09:00:00.000Z') }, 2, life(null));
  expect([...waiting]).toEqual([
    ['yard', 1],
    ['me', 2],
    ['visit', 1],
  ]);
  expect([...waitingAt([], {}, {}, 0, undefined)]).toEqual([]);
});
