import { BUILT_IN_FLEET } from '@weskopos/core';
import { fleetBoardSchema, fleetKnowledgeSchema, scorecardSchema } from './index';

const ID = '00000000-0000-4000-8000-00000000000a';
const AT = '2026-06-01T08:00:00.000Z';

test('what is built in travels as it is, and so does what was learned', () => {
  expect(fleetKnowledgeSchema.parse(JSON.parse(JSON.stringify(BUILT_IN_FLEET)))).toEqual(BUILT_IN_FLEET);
  const shift = { mean: 0.2, variance: 0.01 };
  const learned = {
    ...BUILT_IN_FLEET,
    learnedAt: AT,
    rates: {
      tread: {
        parts: 12,
        base: -1.7,
        axles: { 'tread 1': shift },
        cells: {},
        vehicles: { [ID]: shift },
        between: 0.05,
        within: 0.04,
        changes: 0.004,
        handU: 0.08,
        curve: { power: 0.3, middle: 4, spread: 0.1 },
        newOff: -0.05,
        movedEvery: 14,
      },
    },
    widths: { tread: { scored: 140, width: 1.2 } },
  };
  expect(fleetKnowledgeSchema.parse(learned)).toEqual(learned);
  expect(fleetKnowledgeSchema.safeParse({ ...learned, rates: { tread: {} } }).success).toBe(false);
});

const part = {
  key: 'pad.inner@1L:whole',
  point: 'pad.inner',
  place: '1L',
  spot: 'whole',
  measure: 'lining',
  size: '',
  value: 5,
  basis: 'law',
  limit: 1.5,
  status: 'running-out',
  at: AT,
  distance: { low: 1000, mid: 3000, high: null },
  days: null,
  besidePeers: null,
};
const vehicle = {
  vehicleId: ID,
  fleetCode: 'T 1',
  name: '',
  class: 'car',
  meterUnit: 'km',
  axles: 2,
  lastVisit: AT,
  nextVisit: null,
  parts: [part],
  changes: [{ kind: 'pressure', place: '1L', kpaPerMonth: 12, since: AT, sureness: 0.9 }],
  leaks: [],
};

test('a board takes open ends and unknown dates, and nothing that is no point of the catalogue', () => {
  const board = { learnedAt: null, vehicles: [vehicle] };
  expect(fleetBoardSchema.parse(board)).toEqual(board);
  const wrong = { ...board, vehicles: [{ ...vehicle, parts: [{ ...part, point: 'wing' }] }] };
  expect(fleetBoardSchema.safeParse(wrong).success).toBe(false);
});

test('a score before anything has come true is all open', () => {
  const none = { 'last-two': null, line: null, 'line-from-new': null, 'fleet-life': null };
  const line = {
    name: 'tread',
    byPart: { parts: 0, held: null },
    arrived: 0,
    waiting: 9,
    replaced: 0,
    held: null,
    heldDays: null,
    off: null,
    offDays: null,
    pinball: null,
    naive: none,
  };
  const card = { forecasts: 9, byKind: [line], byUse: [line], calibrated: {}, repeats: [], byInspector: [], hands: [] };
  expect(scorecardSchema.parse(card)).toEqual(card);
  expect(scorecardSchema.safeParse({ ...card, byKind: [{ ...line, held: 'most' }] }).success).toBe(false);
});
