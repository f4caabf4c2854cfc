import { gradedPoints } from '@weskopos/core';
import type { ToDo } from '@weskopos/core/today';
import { CAR, boardPartOf, contextOf, findingOf, readingOf, treadOf } from '@weskopos/core/tests/builders';
import { dueIn, toDoWords } from './toDoWords';

const NOW = '2026-12-01T08:00:00.000Z';

test.each([
  ['2026-12-01', 'today'],
  ['2026-12-01T23:00:00.000Z', 'today'],
  ['2026-12-13', 'in 12 days'],
  ['2026-11-30', '1 day over'],
  ['2026-08-01', '4 months over'],
])('%s is %s', (at, words) => expect(dueIn(at, NOW)).toBe(words));

describe('what is to be done in words', () => {
  const points = gradedPoints(
    contextOf(CAR, [
      findingOf('pad.inner', '1L', { readings: [readingOf('lining', 1)] }),
      findingOf('tyre.tread', '1L', { readings: treadOf(2.1, 2.8, 2.7) }),
    ]),
  );
  const finding = (point: string): ToDo => {
    const graded = points.find((one) => one.point === point);
    if (!graded) throw new Error(`no ${point}`);
    return { kind: 'finding', found: { graded, inspectionId: 'v', at: '2026-11-20T08:00:00.000Z' }, stops: true };
  };
  const job: ToDo = {
    kind: 'job',
    due: {
      job: { code: 'brake-fluid', name: '' },
      doneAt: '2024-08-01T08:00:00.000Z',
      meter: null,
      by: '2026-08-01',
      capped: true,
    },
    when: { at: '2026-08-01', by: 'date' },
    late: true,
  };
  const told = (one: ToDo) => toDoWords(one, CAR, NOW);

  test('one figure stands beside its name, the grade is always said in words', () => {
    expect(told(finding('pad.inner'))).toMatchObject({ name: 'Inner pad NSF', figure: '1.0 mm', grade: 'fail' });
    expect(told(finding('pad.inner')).why).toMatch(/^Fail\. .* Found 20 Nov 2026\.$/);
    expect(told(finding('tyre.tread')).figure).toBe('Advisory');
  });

  test('a job says how far it is over, since when, and by whose rule', () => {
    expect(told(job)).toMatchObject({ figure: '4 months over', grade: 'advisory' });
    expect(told(job).why).toBe('1 Aug 2026 · last done 1 Aug 2024 · by the house cap');
  });

  test('bolts that were driven past are a fail, others are for now', () => {
    const again = { fromKm: 41_150, toKm: 41_200, since: NOW };
    expect(told({ kind: 'bolts', again, late: true })).toMatchObject({ figure: 'overdue', grade: 'fail' });
    expect(told({ kind: 'bolts', again, late: false })).toMatchObject({ figure: 'now', grade: 'advisory' });
  });

  test('what runs out says from when, or that it is there', () => {
    const part = boardPartOf({ at: NOW, distance: null, days: null });
    expect(told({ kind: 'runs-out', part, from: '2027-01-12T08:00:00.000Z' })).toMatchObject({
      figure: 'from 12 Jan',
      why: 'Reads 3.0 mm, may be at 1.5 mm (law) from then on.',
    });
    const reached = { ...part, status: 'reached' as const };
    expect(told({ kind: 'runs-out', part: reached, from: NOW })).toMatchObject({ figure: 'now', grade: 'fail' });
  });
});
