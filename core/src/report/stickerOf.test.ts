import type { Job } from '../vehicle/jobs';
import type { Vehicle } from '../vehicle/vehicle';
import { NO_PROOF, type Act } from '../acts/act';
import type { LifeEntry } from '../parts/lifeEntry';
import { USUAL_HOUSE_RULES } from '../house/houseRules';
import { CAR, inspectionOf } from '../tests/builders';
import { stickerOf } from './stickerOf';

const BRAKE_FLUID: Job = { code: 'brake-fluid', name: 'brake fluid' };
const OIL: Job = { code: 'engine-oil', name: 'oil and filter' };
const visit = inspectionOf(CAR, { meter: 50_000, startedAt: '2026-01-31T08:00:00.000Z' });
const withIntervals = (hardUse: boolean): Vehicle => ({
  ...CAR,
  spec: {
    ...CAR.spec,
    hardUse,
    intervals: [
      { job: BRAKE_FLUID, km: null, months: 24, hours: null },
      { job: OIL, km: 15_000, months: 12, hours: null },
      { job: { code: 'own', name: 'nothing said' }, km: null, months: null, hours: null },
    ],
  },
});

const done = (job: Job, at: string, meter: number): LifeEntry => ({
  id: `${job.code} ${at}`,
  vehicleId: CAR.id,
  at,
  meter,
  kind: 'job',
  job,
});
const DONE = [BRAKE_FLUID, OIL].map((job) => done(job, visit.startedAt, visit.meter));

test('an interval counts from when the job was done, not from whichever visit prints the sticker', () => {
  const long = [done({ ...OIL, name: 'said otherwise' }, '2025-10-01T08:00:00.000Z', 44_000)];
  expect(stickerOf(withIntervals(false), visit, [], USUAL_HOUSE_RULES, long).dues).toEqual([
    { job: OIL, doneAt: '2025-10-01T08:00:00.000Z', meter: 59_000, by: '2026-10-01' },
    { job: BRAKE_FLUID, doneAt: null, meter: null, by: null },
  ]);
  const closed = (end: 'indicator' | 'oil-fill'): Act[] => [
    { id: 'o', inspectionId: visit.id, at: visit.startedAt, kind: 'open', end, place: '', fasteners: null },
    { id: 'c', inspectionId: visit.id, at: visit.startedAt, kind: 'close', opens: 'o', proof: NO_PROOF },
  ];
  const meterAfter = (end: 'indicator' | 'oil-fill') =>
    stickerOf(withIntervals(false), visit, closed(end), USUAL_HOUSE_RULES, long).dues[0]?.meter;
  expect(meterAfter('oil-fill')).toBe(65_000);
  // Setting the indicator back changes no oil.
  expect(meterAfter('indicator')).toBe(59_000);
});

test('each job by its distance and its months, the soonest first; months are those of the calendar', () => {
  expect(stickerOf(withIntervals(false), visit, [], USUAL_HOUSE_RULES, DONE).dues).toEqual([
    { job: OIL, doneAt: visit.startedAt, meter: 65_000, by: '2027-01-31' },
    { job: BRAKE_FLUID, doneAt: visit.startedAt, meter: null, by: '2028-01-31' },
  ]);
});

test('hard use shortens both where the house does so', () => {
  expect(stickerOf(withIntervals(true), visit, [], USUAL_HOUSE_RULES, DONE).dues[0]).toEqual({
    job: OIL,
    doneAt: visit.startedAt,
    meter: 60_500,
    by: '2026-10-12',
  });
  const same = { ...USUAL_HOUSE_RULES, hardUse: 'same' as const };
  expect(stickerOf(withIntervals(true), visit, [], same, DONE).dues[0]?.meter).toBe(65_000);
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
