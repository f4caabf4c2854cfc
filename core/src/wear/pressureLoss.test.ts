import { findPressureLoss, findSlowLoss } from './pressureLoss';

test('a tyre that loses against its fellows is named; cold weather on all of them is not', () => {
  const losses = (one: number) =>
    (['1L', '1R', '2L', '2R'] as const).map((place) => ({
      place,
      days: 100,
      lost: place === '2R' ? one : 12,
      refills: 0,
    }));
  expect(findPressureLoss(losses(60))).toMatchObject({ place: '2R' });
  expect(findPressureLoss(losses(60))?.odds).toBeGreaterThan(0);
  expect(findPressureLoss(losses(16))?.odds ?? -9).toBeLessThan(0);
  expect(findPressureLoss(losses(60).slice(0, 2))).toBeNull();
  // Too little from one visit to the next, it shows over four of them.
  const slow = (stretches: number) =>
    (['1L', '1R', '2L', '2R'] as const).map((place) => ({
      place,
      days: 90 * stretches,
      lost: stretches * (place === '2R' ? 15 : 3),
      refills: 0,
    }));
  expect(findPressureLoss(slow(1))?.odds ?? -9).toBeLessThan(0);
  expect(findSlowLoss(slow)).toMatchObject({ place: '2R', stretches: 4, perMonth: expect.closeTo(4, 1) });
  expect(findSlowLoss(slow)?.odds ?? -9).toBeGreaterThan(0);
});
