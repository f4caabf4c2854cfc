import type { Job } from '../vehicle/jobs';
import type { Vehicle } from '../vehicle/vehicle';
import { NO_PROOF, type Act } from '../acts/act';
import { NO_DETAILS, type LifeEntry } from '../parts/lifeEntry';
import fc from 'fast-check';
import { USUAL_HOUSE_RULES, type HouseRules } from '../house/houseRules';
import { intervalBy } from './intervalBy';
import type { Finding } from '../inspection/finding';
import { CAR, findingOf, inspectionOf, readingOf } from '../tests/builders';
import { stickerOf } from './stickerOf';

const BRAKE_FLUID: Job = { code: 'brake-fluid', name: 'brake fluid' };
const OIL: Job = { code: 'engine-oil', name: 'oil and filter' };
const visit = inspectionOf(CAR, { meter: 50_000, startedAt: '2026-01-31T08:00:00.000Z' });
const bare = (acts: readonly Act[] = [], findings: readonly Finding[] = []) => ({ inspection: visit, acts, findings });
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
  ...NO_DETAILS,
});
const DONE = [BRAKE_FLUID, OIL].map((job) => done(job, visit.startedAt, visit.meter));

test('an interval counts from when the job was done, not from whichever visit prints the sticker', () => {
  const long = [done({ ...OIL, name: 'said otherwise' }, '2025-10-01T08:00:00.000Z', 44_000)];
  expect(stickerOf(withIntervals(false), [bare()], long, USUAL_HOUSE_RULES).dues).toEqual([
    { job: OIL, doneAt: '2025-10-01T08:00:00.000Z', meter: 59_000, by: '2026-10-01', capped: false },
    { job: BRAKE_FLUID, doneAt: null, meter: null, by: null, capped: false },
  ]);
  const closed = (end: 'indicator' | 'oil-fill'): Act[] => [
    { id: 'o', inspectionId: visit.id, at: visit.startedAt, kind: 'open', end, place: '', fasteners: null },
    { id: 'c', inspectionId: visit.id, at: visit.startedAt, kind: 'close', opens: 'o', proof: NO_PROOF },
  ];
  const meterAfter = (end: 'indicator' | 'oil-fill') =>
    stickerOf(withIntervals(false), [bare(closed(end))], long, USUAL_HOUSE_RULES).dues[0]?.meter;
  expect(meterAfter('oil-fill')).toBe(65_000);
  // Setting the indicator back changes no oil.
  expect(meterAfter('indicator')).toBe(59_000);
});

test('each job by its distance and its months, the soonest first; months are those of the calendar', () => {
  expect(stickerOf(withIntervals(false), [bare()], DONE, USUAL_HOUSE_RULES).dues).toEqual([
    { job: OIL, doneAt: visit.startedAt, meter: 65_000, by: '2027-01-31', capped: false },
    { job: BRAKE_FLUID, doneAt: visit.startedAt, meter: null, by: '2028-01-31', capped: false },
  ]);
});

test('hard use shortens both where the house does so', () => {
  expect(stickerOf(withIntervals(true), [bare()], DONE, USUAL_HOUSE_RULES).dues[0]).toEqual({
    job: OIL,
    doneAt: visit.startedAt,
    meter: 60_500,
    by: '2026-10-12',
    capped: false,
  });
  const same = { ...USUAL_HOUSE_RULES, hardUse: 'same' as const };
  expect(stickerOf(withIntervals(true), [bare()], DONE, same).dues[0]?.meter).toBe(65_000);
});

describe('when a fluid is changed is the house’s to say', () => {
  const house = (change: Partial<HouseRules>): HouseRules => ({ ...USUAL_HOUSE_RULES, ...change });
  const caps = {
    'engine-oil': { km: 10_000, months: 18, hours: null },
    coolant: { km: null, months: 48, hours: null },
  };
  const coolant: Job = { code: 'coolant', name: '' };
  const told = (rules: HouseRules, jobs = DONE) =>
    stickerOf(withIntervals(false), [bare()], jobs, rules).dues.map(({ job, meter, by, capped }) => [
      job.code,
      meter,
      by,
      capped,
    ]);

  test('the earlier of maker and cap, each measure by itself', () => {
    expect(told(house({ changeCaps: caps }))).toEqual([
      ['engine-oil', 60_000, '2027-01-31', true],
      ['brake-fluid', null, '2028-01-31', false],
    ]);
  });
  test('a cap of a job the sheet has no interval for counts once that job is on record', () => {
    const jobs = [...DONE, done(coolant, visit.startedAt, visit.meter)];
    expect(told(house({ changeCaps: caps }), jobs)).toContainEqual(['coolant', null, '2030-01-31', true]);
  });
  test('the maker alone, or on condition: then nothing of a fluid falls due', () => {
    expect(told(house({ changeCaps: caps, fluidChange: 'maker' }))[0]).toEqual([
      'engine-oil',
      65_000,
      '2027-01-31',
      false,
    ]);
    expect(told(house({ changeCaps: caps, fluidChange: 'condition' }))).toEqual([]);
  });
  test('never later than the maker wants, whatever the cap (2,000 drawn)', () => {
    const limit = fc.option(fc.integer({ min: 1, max: 60 }));
    const measures = fc.record({ km: limit, months: limit, hours: limit });
    fc.assert(
      fc.property(measures, measures, (maker, cap) => {
        const interval = { job: OIL, ...maker };
        const by = intervalBy(interval, house({ changeCaps: { 'engine-oil': cap } }));
        for (const measure of ['km', 'months', 'hours'] as const) {
          const [own, capOf, now] = [maker[measure], cap[measure], by?.[measure] ?? null];
          expect(now).toBe(own === null ? capOf : capOf === null ? own : Math.min(own, capOf));
        }
      }),
      { numRuns: 2000 },
    );
  });
});

describe('wheel bolts after a wheel was off', () => {
  const off: Act = {
    id: 'a',
    inspectionId: visit.id,
    at: visit.startedAt,
    kind: 'open',
    end: 'wheel',
    place: '1L',
    fasteners: 5,
  };
  const later = (findings: readonly Finding[]) => ({
    inspection: inspectionOf(CAR, { id: 'later', meter: 50_080, startedAt: '2026-02-02T08:00:00.000Z' }),
    acts: [],
    findings,
  });
  const again = (visits: Parameters<typeof stickerOf>[1], entries: LifeEntry[] = [], vehicle = CAR) =>
    stickerOf(vehicle, visits, entries, USUAL_HOUSE_RULES).boltsAgain;
  const due = { fromKm: 50_050, toKm: 50_100, since: visit.startedAt };

  test('come again, and only by distance', () => {
    expect(again([bare()])).toBeNull();
    expect(again([bare([off])])).toEqual(due);
    expect(again([bare([off])], [], { ...CAR, meterUnit: 'h' })).toBeNull();
  });

  test('are not settled by a visit that saw none, nor by the torque of the day itself', () => {
    const torque = findingOf('close.bolts', '1L', { readings: [readingOf('torque', 120)] });
    expect(again([bare([off], [torque]), later([findingOf('belt.aux', '')])])).toEqual(due);
    expect(again([bare([off]), later([{ ...torque, readings: [] }])])).toEqual(due);
    expect(again([bare([off]), later([{ ...torque, carried: { at: '2026-01-31', from: 'visit' } }])])).toEqual(due);
  });

  test('end by a torque at a later visit, or by a job that was written down since', () => {
    const torque = findingOf('close.bolts', '1L', { readings: [readingOf('torque', 120)] });
    expect(again([bare([off]), later([torque])])).toBeNull();
    const job = { code: 'wheel-bolts', name: '' } as const;
    expect(again([bare([off])], [done(job, '2026-02-01T10:00:00.000Z', 50_070)])).toBeNull();
    expect(again([bare([off])], [done(job, '2026-01-30T10:00:00.000Z', 49_900)])).toEqual(due);
  });
});
