/** @jest-environment node */
import { padRows, type PadKey } from './padKeys';

const words = { nextFigure: 'next', over: 'over', under: 'under', minus: 'minus', fraction: 'fraction' };
const typed = (rows: readonly (readonly PadKey[])[]) =>
  rows.flat().flatMap((key) => (key.kind === 'text' ? [key.text] : []));

test('every field has ten figures and a point, the way on and the way to the platform’s keyboard', () => {
  const rows = padRows({}, words);
  expect(typed(rows).sort()).toEqual(['.', ...'0123456789'].sort());
  expect(rows.flat().map(({ kind }) => kind)).toEqual(expect.arrayContaining(['erase', 'next', 'keyboard']));
  expect(rows).toHaveLength(4);
});

test('what a field takes besides stands beside the figures, and below them where it is more', () => {
  expect(typed(padRows({ line: true, fraction: true }, words))).toEqual(expect.arrayContaining([' ', '/']));
  const pressure = padRows({ bounds: true, units: ['bar', 'psi'] }, words);
  expect(typed(pressure)).toEqual(expect.arrayContaining(['>', '<', ' bar', ' psi']));
  expect(pressure).toHaveLength(5);
  expect(typed(padRows({ signed: true }, words))).toContain('-');
});
