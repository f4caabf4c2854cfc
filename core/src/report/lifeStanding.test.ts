import { NO_DETAILS, type LifeEntry, type LifeEntryContent } from '../parts/lifeEntry';
import { CAR, findingOf, inspectionOf, readingOf, rulesWith } from '../tests/builders';
import type { Vehicle } from '../vehicle/vehicle';
import { lifeStanding, standingSummary } from './lifeStanding';

const rules = rulesWith();
const visit = (id: string, mm: number, change: { signedAt?: string | null; voidedAt?: string } = {}) => ({
  inspection: inspectionOf(CAR, { id, signedAt: '2026-06-01T09:00:00.000Z', ...change }),
  findings: [findingOf('pad.inner', '1L', { readings: [readingOf('lining', mm)] }, id)],
  acts: [],
});
const standing = (visits: ReturnType<typeof visit>[], entries: LifeEntry[] = [], vehicle: Vehicle = CAR) =>
  standingSummary(lifeStanding({ vehicle, visits, entries }, () => rules));
const entry = (id: string, content: LifeEntryContent): LifeEntry => ({
  id,
  vehicleId: CAR.id,
  at: '2026-06-02T08:00:00.000Z',
  meter: null,
  ...content,
});

test('only signed visits that count tell how a vehicle stands', () => {
  expect(standing([visit('a', 6), visit('b', 1, { signedAt: null })])).toMatchObject({ grade: 'pass' });
  expect(standing([visit('a', 6), visit('b', 1, { voidedAt: '2026-06-01T10:00:00.000Z' })])).toMatchObject({
    grade: 'pass',
    last: { inspectionId: 'a' },
  });
  expect(standing([visit('a', 1), visit('b', 6)])).toMatchObject({ grade: 'pass', boltsAgain: null });
});

describe('a timing belt nobody knows the age of', () => {
  const job = { code: 'timing-belt', name: '' } as const;
  const unknown = entry('u', { kind: 'not-known', job, paper: 'service book' });

  test('is an advisory until it is renewed; one nobody was asked for is none', () => {
    expect(standing([visit('a', 6)])).toMatchObject({ grade: 'pass', unknownJobs: [] });
    expect(standing([visit('a', 6)], [unknown])).toMatchObject({
      grade: 'advisory',
      counts: { fail: 0, advisory: 1 },
      unknownJobs: [job],
    });
    const renewed = entry('d', { kind: 'job', job, ...NO_DETAILS });
    expect(standing([visit('a', 6)], [unknown, renewed])).toMatchObject({ grade: 'pass', unknownJobs: [] });
  });

  test('never hides what is worse, and another job nobody knows of is told without a grade', () => {
    expect(standing([visit('a', 1)], [unknown])).toMatchObject({ grade: 'fail', counts: { fail: 1, advisory: 1 } });
    const coolant = entry('c', { kind: 'not-known', job: { code: 'coolant', name: '' }, paper: '' });
    expect(standing([visit('a', 6)], [coolant])).toMatchObject({ grade: 'pass', unknownJobs: [] });
  });
});
