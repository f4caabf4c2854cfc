import { gradedPoints } from '../grading/verdict';
import type { NextDue } from '../jobs/stickerOf';
import type { LifeEntry } from '../parts/lifeEntry';
import { CAR, boardPartOf, contextOf, findingOf, inspectionOf, leakOf, readingOf, treadOf } from '../tests/builders';
import { USUAL_USAGE } from '../wear/usageModel';
import { meterLog, meterStand } from '../outlook/meterStand';
import { toDo, type ToDo, type ToDoGiven } from './toDo';

const NOW = '2026-12-01T08:00:00.000Z';
const SUNDAY = '2026-12-06T23:59:59.000Z';

const FOUND = [
  findingOf('pad.inner', '1L', { readings: [readingOf('lining', 1)] }),
  findingOf('tyre.tread', '1R', { readings: treadOf(2.6, 2.8, 2.7) }),
  findingOf('leak.engine', '', { leaks: [leakOf({ fluid: 'engine-oil', stage: 'drip' })] }),
  findingOf('tyre.tread', '2L', { readings: treadOf(6, 6, 6) }),
];
const points = gradedPoints(contextOf(CAR, FOUND)).map((graded) => ({
  graded,
  inspectionId: 'v',
  at: '2026-11-20T08:00:00.000Z',
}));

const due = (change: Partial<NextDue>): NextDue => ({
  job: { code: 'engine-oil', name: '' },
  doneAt: '2025-11-20T08:00:00.000Z',
  meter: null,
  by: null,
  capped: false,
  ...change,
});
const nothing: ToDoGiven = { points: [], dues: [], boltsAgain: null, parts: [], stand: null };
const kinds = (all: readonly ToDo[]) =>
  all.map((one) => (one.kind === 'finding' ? `${one.found.graded.point} ${one.found.graded.place}` : one.kind));

describe('what is to be done', () => {
  test('comes most urgent first: what stops it, bolts, fails, overdue jobs, what runs out, advisories, due jobs', () => {
    const all = toDo(
      {
        points,
        dues: [due({ by: '2026-12-05' }), due({ by: '2026-10-01', job: { code: 'brake-fluid', name: '' } })],
        boltsAgain: { fromKm: 50, toKm: 100, since: '2026-11-20T08:00:00.000Z' },
        parts: [boardPartOf({})],
        stand: null,
      },
      NOW,
      SUNDAY,
    );
    expect(kinds(all)).toEqual(['pad.inner 1L', 'bolts', 'leak.engine ', 'job', 'runs-out', 'tyre.tread 1R', 'job']);
    expect(all.map((one) => one.kind === 'finding' && one.stops)).toEqual([true, ...Array(6).fill(false)]);
    expect(all.flatMap((one) => (one.kind === 'job' ? [one.late] : []))).toEqual([true, false]);
  });

  test('what falls later than asked, passes, or is told as found already is left out', () => {
    expect(toDo({ ...nothing, dues: [due({ by: '2026-12-07' })] }, NOW, SUNDAY)).toEqual([]);
    expect(toDo({ ...nothing, parts: [boardPartOf({ days: { low: 40, mid: 60, high: 90 } })] }, NOW, SUNDAY)).toEqual(
      [],
    );
    expect(toDo({ ...nothing, parts: [boardPartOf({ status: 'far-off', days: null })] }, NOW, SUNDAY)).toEqual([]);
    expect(kinds(toDo({ ...nothing, points, parts: [boardPartOf({ place: '1L' })] }, NOW, SUNDAY))).not.toContain(
      'runs-out',
    );
    expect(kinds(toDo({ ...nothing, parts: [boardPartOf({ status: 'reached', days: null })] }, NOW, SUNDAY))).toEqual([
      'runs-out',
    ]);
    expect(toDo(nothing, NOW, SUNDAY)).toEqual([]);
  });

  test('a job by the meter is due as far as the vehicle goes by then; bolts are late once it went past', () => {
    const stand = { meter: 50_000, perDay: 100 };
    const jobs = (meter: number) => toDo({ ...nothing, dues: [due({ meter })], stand }, NOW, SUNDAY);
    expect(jobs(50_400)).toHaveLength(1);
    expect(jobs(50_800)).toHaveLength(0);
    const bolts = (toKm: number) =>
      toDo({ ...nothing, boltsAgain: { fromKm: 49_000, toKm, since: NOW }, stand }, NOW, SUNDAY)[0];
    expect(bolts(49_050)).toMatchObject({ kind: 'bolts', late: true });
    expect(bolts(50_050)).toMatchObject({ kind: 'bolts', late: false });
  });
});

describe('what the meter is taken to show', () => {
  const visits = [
    { inspection: inspectionOf(CAR, { id: 'a', startedAt: '2025-11-01T08:00:00.000Z', meter: 10_000 }) },
    { inspection: inspectionOf(CAR, { id: 'b', startedAt: '2026-11-01T08:00:00.000Z', meter: 46_500 }) },
  ];
  const fuel = (meter: number | null): LifeEntry => ({
    id: 'f',
    vehicleId: CAR.id,
    at: '2026-11-21T08:00:00.000Z',
    meter,
    kind: 'fuel',
    litres: 40,
    full: true,
    price: null,
  });

  test('is the last reading and what it has gone since', () => {
    expect(meterStand(CAR, meterLog(CAR, [], []), USUAL_USAGE, NOW)).toBeNull();
    const told = meterStand(CAR, meterLog(CAR, visits, []), USUAL_USAGE, NOW);
    expect(told?.perDay).toBeGreaterThan(80);
    expect(told?.perDay).toBeLessThan(110);
    expect(told?.meter).toBeCloseTo(46_500 + 30 * (told?.perDay ?? 0), 0);
    const fuelled = meterStand(CAR, meterLog(CAR, visits, [fuel(48_400)]), USUAL_USAGE, NOW);
    expect(fuelled?.meter).toBeCloseTo(48_400 + 10 * (fuelled?.perDay ?? 0), 0);
    expect(meterStand(CAR, meterLog(CAR, visits, [fuel(null)]), USUAL_USAGE, NOW)).toEqual(told);
  });

  test('a moment before the last reading takes nothing back', () => {
    expect(meterStand(CAR, meterLog(CAR, visits, []), USUAL_USAGE, '2026-10-01T08:00:00.000Z')?.meter).toBe(46_500);
  });
});
