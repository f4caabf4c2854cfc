import type { Act } from '../acts/act';
import { USUAL_HOUSE_RULES } from '../rules/houseRules';
import { CAR, inspectionOf } from '../tests/builders';
import { stickerOf } from './stickerOf';

const visit = inspectionOf(CAR, { meter: 50_000, startedAt: '2026-01-31T08:00:00.000Z' });
const withIntervals = (hardUse: boolean) => ({
  ...CAR,
  spec: {
    ...CAR.spec,
    hardUse,
    intervals: [
      { job: 'brake fluid', km: null, months: 24, hours: null },
      { job: 'oil and filter', km: 15_000, months: 12, hours: null },
      { job: 'nothing said', km: null, months: null, hours: null },
    ],
  },
});

test('each job by its distance and its months, the soonest first; months are those of the calendar', () => {
  expect(stickerOf(withIntervals(false), visit, [], USUAL_HOUSE_RULES).dues).toEqual([
    { job: 'oil and filter', meter: 65_000, by: '2027-01-31' },
    { job: 'brake fluid', meter: null, by: '2028-01-31' },
  ]);
});

test('hard use shortens both where the house does so', () => {
  expect(stickerOf(withIntervals(true), visit, [], USUAL_HOUSE_RULES).dues[0]).toEqual({
    job: 'oil and filter',
    meter: 60_500,
    by: '2026-10-12',
  });
  const same = { ...USUAL_HOUSE_RULES, hardUse: 'same' as const };
  expect(stickerOf(withIntervals(true), visit, [], same).dues[0]?.meter).toBe(65_000);
});

test('wheel bolts come again only where a wheel was off, and only by distance', () => {
  const off: Act = {
    id: 'a',
    inspectionId: visit.id,
    at: visit.startedAt,
    kind: 'open',
    end: 'wheel',
    place: '1L',
    fasteners: 5,
  };
  expect(stickerOf(CAR, visit, [], USUAL_HOUSE_RULES).boltsAgain).toBeNull();
  expect(stickerOf(CAR, visit, [off], USUAL_HOUSE_RULES).boltsAgain).toEqual({ fromKm: 50_050, toKm: 50_100 });
  expect(stickerOf({ ...CAR, meterUnit: 'h' }, visit, [off], USUAL_HOUSE_RULES).boltsAgain).toBeNull();
});
