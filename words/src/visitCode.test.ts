import { CAR, inspectionOf } from '@weskopos/core/tests/builders';
import { visitCode } from './visitCode';

const inspection = inspectionOf(CAR, { startedAt: '2026-06-01T08:00:00.000Z', meter: 50_000 });
const verdict = { grade: 'fail', counts: { fail: 1, advisory: 2, pass: 60, 'not-seen': 3, recorded: 0 } } as const;
const due = {
  job: { code: 'engine-oil', name: '' },
  doneAt: '2026-01-01',
  meter: 65_000,
  by: '2027-01-01',
  capped: false,
} as const;
const seal = { hash: 'ab'.repeat(32), key: '0123456789abcdef', value: '' };

test('tells vehicle, day, meter, verdict, what falls due and the hash, a line each', () => {
  expect(
    visitCode({ ...CAR, fleetCode: 'FH 01', plate: 'FHT 010' }, { inspection, seal }, verdict, [due]).split('\n'),
  ).toEqual([
    'FH 01 · FHT 010',
    expect.stringMatching(/^1 June? 2026, 50.000 km$/),
    'Fail: 1 fail, 2 advisory, 60 pass, 3 not seen',
    expect.stringMatching(/^Next engine oil: 65.000 km or 1 Jan 2027$/i),
    `SHA-256 ${'ab'.repeat(32)}`,
  ]);
});

test('fits a code that paper holds, also with names of 80 characters and many dues', () => {
  const long = { ...CAR, fleetCode: 'W'.repeat(80), plate: 'Ü'.repeat(20) };
  const text = visitCode(
    long,
    { inspection, seal },
    verdict,
    Array.from({ length: 20 }, () => due),
  );
  expect(text.split('\n')).toHaveLength(8);
  // What a code of 93 by 93 cells holds at this level (ISO/IEC 18004, version 19-M).
  expect(Buffer.byteLength(text)).toBeLessThanOrEqual(624);
});

test('without a signature no hash is told', () => {
  expect(visitCode(CAR, { inspection, seal: null }, verdict, [])).not.toContain('SHA');
});
