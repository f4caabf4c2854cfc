import { NO_DETAILS, type LifeEntry, type LifeEntryContent } from '../parts/lifeEntry';
import { USUAL_MAKE_UP } from '../vehicle/makeUp';
import { CAR } from '../tests/builders';
import { jobAge } from './jobAge';
import { jobPasts, jobsAsked } from './jobHistory';
import { jobsOf } from './jobsOf';

let made = 0;
const entry = (at: string, content: LifeEntryContent, meter: number | null = null): LifeEntry => {
  made += 1;
  return { id: `e${made}`, vehicleId: CAR.id, at: `${at}T12:00:00.000Z`, meter, ...content };
};
const belt = { code: 'timing-belt', name: '' } as const;
const done = (at: string, meter: number | null = null) => entry(at, { kind: 'job', job: belt, ...NO_DETAILS }, meter);
const unknown = (at: string) => entry(at, { kind: 'not-known', job: belt, paper: 'service book' });
const pastOf = (entries: LifeEntry[]) =>
  jobPasts(CAR, jobsOf([], entries), entries).find(({ job }) => job.code === 'timing-belt');

test('a past is done, not known or unsaid; what is not known is never taken for done, and a job told later counts', () => {
  expect(pastOf([])).toMatchObject({ state: 'unsaid' });
  const asked = unknown('2026-05-01');
  expect(pastOf([asked])).toMatchObject({ state: 'not-known', paper: 'service book' });
  expect(pastOf([asked, done('2024-01-01')])).toMatchObject({ state: 'done' });
  expect(pastOf([asked, entry('2026-05-02', { kind: 'undo', refers: asked.id })])).toMatchObject({ state: 'unsaid' });
});

test('a vehicle is asked for what has an interval and for what ruins something when it is late', () => {
  const codes = (change: Partial<typeof CAR>) => jobsAsked({ ...CAR, ...change }).map(({ code }) => code);
  expect(codes({})).toEqual(['brake-fluid', 'engine-oil', 'coolant', 'timing-belt']);
  expect(codes({ makeUp: { ...USUAL_MAKE_UP, timingBelt: false } })).not.toContain('timing-belt');
  expect(codes({ makeUp: { ...USUAL_MAKE_UP, power: 'electric' } })).toEqual(['brake-fluid']);
  const wipers = { job: { code: 'wipers', name: '' }, km: null, months: 12, hours: null } as const;
  expect(codes({ spec: { ...CAR.spec, intervals: [wipers] } })).toContain('wipers');
});

describe('an age', () => {
  const now = { at: '2026-11-27T09:00:00.000Z', meter: 84_000 };
  const age = (entries: LifeEntry[]) => jobAge('belt.timing.age', jobsOf([], entries), now);

  test('counts from the last job on record, in whole months and on the meter', () => {
    expect(age([done('2020-01-01', 10_000), done('2024-11-20', 61_500)])).toMatchObject({
      months: 24,
      distance: 22_500,
    });
    expect(age([done('2024-11-20')])).toMatchObject({ distance: null });
  });

  test('is not told where nobody knows, of a job to come, or over a meter that was replaced', () => {
    expect(age([])).toBeNull();
    expect(age([unknown('2026-05-01')])).toBeNull();
    expect(age([done('2026-12-01')])).toBeNull();
    expect(age([done('2024-11-20', 180_000)])).toMatchObject({ distance: null });
    expect(jobAge('tyre.tread', jobsOf([], [done('2024-11-20')]), now)).toBeNull();
  });
});
