import { dueWhen } from './dueWhen';
import type { NextDue } from './stickerOf';

const NOW = '2026-12-01T08:00:00.000Z';
const due = (change: Partial<NextDue>): NextDue => ({
  job: { code: 'engine-oil', name: '' },
  doneAt: '2025-12-01T08:00:00.000Z',
  meter: null,
  by: null,
  capped: false,
  ...change,
});
const stand = { meter: 50_000, perDay: 50 };

describe('when a job falls due', () => {
  test('is its date, or the day the meter gets there, whichever comes first', () => {
    expect(dueWhen(due({ by: '2027-03-01' }), stand, NOW)).toEqual({ at: '2027-03-01', by: 'date' });
    expect(dueWhen(due({ meter: 51_000 }), stand, NOW)).toEqual({ at: '2026-12-21', by: 'meter' });
    expect(dueWhen(due({ meter: 51_000, by: '2027-03-01' }), stand, NOW)?.by).toBe('meter');
    expect(dueWhen(due({ meter: 90_000, by: '2027-03-01' }), stand, NOW)?.by).toBe('date');
  });

  test('lies in the past where it is over', () => {
    expect(dueWhen(due({ meter: 49_000 }), stand, NOW)).toEqual({ at: '2026-11-11', by: 'meter' });
    expect(dueWhen(due({ by: '2026-08-01' }), null, NOW)).toEqual({ at: '2026-08-01', by: 'date' });
  });

  test('of one that stands still is today where it is past, and cannot be told where it is not', () => {
    const still = { meter: 50_000, perDay: 0 };
    expect(dueWhen(due({ meter: 50_001 }), still, NOW)).toBeNull();
    expect(dueWhen(due({ meter: 50_000 }), still, NOW)).toEqual({ at: '2026-12-01', by: 'meter' });
    expect(dueWhen(due({ meter: 10 }), { meter: 50_000, perDay: 0.001 }, NOW)?.at).toBe('2026-12-01');
    expect(dueWhen(due({ meter: 60_000 }), null, NOW)).toBeNull();
    expect(dueWhen(due({}), stand, NOW)).toBeNull();
  });
});
