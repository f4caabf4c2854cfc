/** @jest-environment node */
import type { YardEntry } from '@weskopos/contract';
import type { Grade } from '@weskopos/core';
import { CAR } from '@weskopos/core/tests/builders';
import { ORDERS, STANDS, ordered, standing } from './lines';

const entry = (fleetCode: string, grade: Grade | null, at = '2026-11-01T08:00:00.000Z'): YardEntry => ({
  vehicle: { ...CAR, id: fleetCode, fleetCode },
  standing: grade && {
    grade,
    counts: { fail: 0, advisory: 0, pass: 0 },
    last: { inspectionId: 'a', at, seen: 1, of: 1 },
    boltsAgain: null,
    unknownJobs: [],
  },
  last: null,
  open: null,
  version: '',
});
const codes = (entries: readonly YardEntry[]) => entries.map(({ vehicle }) => vehicle.fleetCode);

const YARD = [
  entry('A', 'pass', '2026-09-01T08:00:00.000Z'),
  entry('B', 'fail', '2026-10-01T08:00:00.000Z'),
  entry('C', null),
  entry('D', 'advisory'),
  entry('E', 'fail'),
  entry('F', 'recorded', '2026-08-01T08:00:00.000Z'),
];

test('in the order of code, worst first, or longest not seen; the same stay in the order of their codes', () => {
  expect(codes(ordered(YARD, 'code'))).toEqual(['A', 'B', 'C', 'D', 'E', 'F']);
  expect(codes(ordered(YARD, 'worst'))).toEqual(['B', 'E', 'D', 'C', 'F', 'A']);
  expect(codes(ordered(YARD, 'looked'))).toEqual(['C', 'F', 'A', 'B', 'D', 'E']);
  expect(ORDERS.map((order) => ordered(YARD, order).length)).toEqual([6, 6, 6]);
});

test('each vehicle is among exactly one kind of those that stand so', () => {
  expect(codes(standing(YARD, 'fail'))).toEqual(['B', 'E']);
  expect(codes(standing(YARD, 'pass'))).toEqual(['A', 'F']);
  expect(codes(standing(YARD, 'not-seen'))).toEqual(['C']);
  const parts = STANDS.filter((one) => one !== 'all').flatMap((one) => codes(standing(YARD, one)));
  expect(parts.sort()).toEqual(codes(standing(YARD, 'all')));
});
