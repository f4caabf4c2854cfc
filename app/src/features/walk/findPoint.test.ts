/** @jest-environment node */
import { gradedPoints, isPointCode } from '@weskopos/core';
import { CAR, contextOf } from '@weskopos/core/tests/builders';
import MiniSearch from 'minisearch';
import { everyday } from '@weskopos/words/en/everyday';
import { pointFinder } from './findPoint';

const points = gradedPoints(contextOf(CAR, []));
const find = pointFinder(MiniSearch, points, CAR);

test.each([
  ['torque', /^close\.bolts@|^wheel\.bolts@/],
  ['brake pads', /^pad\.(outer|inner)@/],
  ['handbrake', /^cabin\.parkbrake$/],
  ['hand brake lever', /^cabin\.parkbrake$/],
  ['lamps', /^walk\.lamps$/],
  ['warning lamps', /^cabin\.lamps$/],
  ['cam belt', /^belt\.timing\.age$/],
  ['shock absorber', /^damper@/],
  ['antifreeze', /^cold\.coolant$|^coolant\./],
  ['dipstick', /^cold\.oil$|^oil\.level$|^close\.level$/],
  ['padd outer', /^pad\.outer@/],
])('%s', (typed, expected) => expect(find(typed)[0]).toMatch(expected));

test('a wheel is found by its initials and in words, a point there first by its name', () => {
  expect(find('nsf').length).toBeGreaterThan(10);
  expect(find('nsf').every((key) => key.includes('@1L'))).toBe(true);
  expect(find('tread nsf')[0]).toBe('tyre.tread@1L');
  expect(find('pads offside rear').every((key) => key.endsWith('@2R'))).toBe(true);
  expect(find('flux capacitor')).toEqual([]);
  expect(find('')).toEqual([]);
});

test('everyday words are said of points that exist', () => {
  for (const code of Object.keys(everyday)) expect([code, isPointCode(code)]).toEqual([code, true]);
});
