import type { LifeEntry, LifeEntryContent } from '../parts/lifeEntry';
import { CAR } from '../tests/builders';
import { usageChanges } from './usageChanges';

const entry = (n: number, km: number | null, content: LifeEntryContent): LifeEntry => ({
  id: `e${n} ${content.kind}`,
  vehicleId: CAR.id,
  at: new Date(Date.UTC(2025, 0, 5) + n * 15 * 86_400_000).toISOString(),
  meter: km,
  ...content,
});
const fuel = (per100: (n: number) => number) =>
  Array.from({ length: 20 }, (_, n) =>
    entry(n, 50_000 + n * 600, {
      kind: 'fuel',
      litres: 6 * per100(n) * (1 + 0.02 * ((n * 7) % 3)),
      full: true,
      price: null,
    }),
  );
const oil = (litres: (n: number) => number) =>
  Array.from({ length: 12 }, (_, n) =>
    entry(n * 2, 50_000 + n * 1500, { kind: 'top-up', fluid: 'engine-oil', litres: litres(n) }),
  );

test('more fuel since a brake drags is told, with when it began', () => {
  const [change, ...rest] = usageChanges(fuel((n) => (n < 11 ? 8 : 9.4)));
  expect(rest).toEqual([]);
  expect(change).toMatchObject({ kind: 'use', what: 'fuel' });
  expect(change?.factor).toBeCloseTo(1.175, 1);
  expect(change?.since.slice(0, 7)).toBe('2025-06');
});

test('as before is not told, nor a fill that was taken back', () => {
  expect(usageChanges(fuel(() => 8))).toEqual([]);
  const odd = fuel((n) => (n < 11 ? 8 : 9.4));
  const undone = odd.slice(12).map((one, n) => entry(40 + n, null, { kind: 'undo', refers: one.id }));
  expect(usageChanges([...odd, ...undone])).toEqual([]);
});

test('oil that goes three times as fast is told; coolant is no oil', () => {
  expect(usageChanges(oil((n) => (n < 6 ? 0.3 : 0.9)))).toMatchObject([{ what: 'oil', kind: 'use' }]);
  const coolant = oil((n) => (n < 6 ? 0.3 : 0.9)).map((one) =>
    one.kind === 'top-up' ? { ...one, fluid: 'coolant' as const } : one,
  );
  expect(usageChanges(coolant)).toEqual([]);
});

test('fills nobody read the meter at tell nothing', () => {
  expect(usageChanges(fuel((n) => (n < 11 ? 8 : 9.4)).map((one) => ({ ...one, meter: null })))).toEqual([]);
});
