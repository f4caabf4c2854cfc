/** @jest-environment node */
import { CAR } from '@weskopos/core/tests/builders';
import { blankVehicle, formOf, vehicleFormSchema } from './vehicleForm';

const form = formOf(CAR);
const problems = (change: object) => {
  const read = vehicleFormSchema.safeParse({ ...form, ...change });
  return read.success ? [] : read.error.issues.map(({ path }) => path.join('.'));
};

test('a vehicle that was laid out in the form and left alone comes back as it was', () => {
  expect(vehicleFormSchema.parse(form)).toEqual(CAR);
});

test('every figure stands in the form as text', () => {
  expect(form.year).toBe(String(CAR.year));
  expect(form.axles.map(({ placardKpa }) => typeof placardKpa)).toEqual(CAR.axles.map(() => 'string'));
});

test('figures are read with a comma, and in the unit that is typed with them', () => {
  const [front, ...rest] = form.axles;
  const typed = (placardKpa: string) =>
    vehicleFormSchema.parse({ ...form, axles: [{ ...front, placardKpa }, ...rest] }).axles[0]?.placardKpa;
  expect(typed('240')).toBe(240);
  expect(typed('2,4 bar')).toBeCloseTo(240, 6);
  expect(typed('35 psi')).toBeCloseTo(241.3165, 3);
  expect(typed('')).toBeNull();
});

test.each<[string, object, string]>([
  ['no fleet code', { fleetCode: ' ' }, 'fleetCode'],
  ['a fleet code too long', { fleetCode: 'x'.repeat(21) }, 'fleetCode'],
  ['a year that is none', { year: 'old' }, 'year'],
  ['a year before there were any', { year: '1800' }, 'year'],
  ['no axle', { axles: [] }, 'axles'],
  [
    'a pressure that is words',
    { axles: [{ ...form.axles[0], placardKpa: 'hard' }, form.axles[1]] },
    'axles.0.placardKpa',
  ],
])('%s stands at its field', (_, change, field) => {
  expect(problems(change)).toContain(field);
});

test('a blank vehicle lacks only its fleet code', () => {
  const blank = formOf(blankVehicle('10000000-0000-4000-8000-000000000001'));
  const read = vehicleFormSchema.safeParse(blank);
  expect(read.success ? [] : read.error.issues.map(({ path }) => path.join('.'))).toContain('fleetCode');
  expect(vehicleFormSchema.safeParse({ ...blank, fleetCode: 'FH 20', make: 'Osprell', model: 'Linnet' }).success).toBe(
    true,
  );
});
