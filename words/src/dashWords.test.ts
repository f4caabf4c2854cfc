import { CAR } from '@weskopos/core/tests/builders';
import { jobBeside, jobsMeant } from './dashWords';

const spec = {
  ...CAR.spec,
  intervals: [{ job: { code: 'own' as const, name: 'Chain of the hoist' }, km: null, months: 12, hours: null }],
};

test('a meaning names jobs by their words, the vehicle’s own among them', () => {
  const codes = (means: string) => jobsMeant({ code: 'B', means }, spec).map(({ code, name }) => name || code);
  expect(codes('Rotation of the wheels, axle oil')).toEqual(['axle-oil', 'rotation']);
  expect(codes('grease the CHAIN OF THE HOIST')).toEqual(['Chain of the hoist']);
  expect(codes('see the maker’s book')).toEqual([]);
});

test('beside it stands when it was done, and how far ago where both meters are known', () => {
  const job = { code: 'axle-oil', name: '' } as const;
  const done = {
    job,
    at: '2026-11-03T08:00:00.000Z',
    meter: 80_000,
    place: '',
    litres: null,
    numbers: '',
    toldBy: { id: 'x' },
  } as never;
  expect(jobBeside(job, done, 83_000, 'km')).toBe('Axle oil: done 3 Nov 2026, 3\u202f000 km ago');
  expect(jobBeside(job, done, null, 'km')).toBe('Axle oil: done 3 Nov 2026');
  expect(jobBeside(job, undefined, 83_000, 'km')).toBe('Axle oil: last time not on record');
});
