/** @jest-environment node */
import type { Life, Visit } from '@weskopos/contract';
import { NO_DETAILS } from '@weskopos/core';
import { CAR, inspectionOf } from '@weskopos/core/tests/builders';
import { lifeLine, shownUnder } from './lifeLine';

const visit = (id: string, day: string, voidedAt: string | null = null): Visit => ({
  inspection: inspectionOf(CAR, { id, startedAt: `${day}T08:00:00.000Z`, voidedAt }),
  findings: [],
  acts: [],
  inspector: 'Isla',
  signedBy: null,
  sheet: null,
  amendments: [],
  voidedBy: null,
  seal: null,
});
const stamp = (id: string, day: string) => ({
  id,
  by: 'Isla',
  vehicleId: CAR.id,
  at: `${day}T18:00:00.000Z`,
  meter: null,
});
const entries: Life['entries'] = [
  { ...stamp('fuel', '2026-02-01'), kind: 'fuel', litres: 40, full: true, price: null },
  { ...stamp('wrong', '2026-02-02'), kind: 'fuel', litres: 4000, full: true, price: null },
  { ...stamp('undo', '2026-02-03'), kind: 'undo', refers: 'wrong' },
  { ...stamp('job', '2026-03-01'), kind: 'job', job: { code: 'brake-fluid', name: '' }, ...NO_DETAILS },
  { ...stamp('fit', '2026-04-01'), kind: 'fit', what: 'pads', place: '1L', fresh: 12, note: '' },
];

test('a life is one line, newest first; what was taken back is not on it, what was given up is', () => {
  const line = lifeLine({ visits: [visit('a', '2026-01-15'), visit('b', '2026-03-15', '2026-03-16')], entries });
  expect(line.map(({ id }) => id)).toEqual(['fit', 'b', 'job', 'fuel', 'a']);
  expect(line.map(shownUnder)).toEqual(['parts', 'visits', 'jobs', 'fuel', 'visits']);
});

test('a work is one mark, where the last was said of it', () => {
  const task = { code: 'pads', point: null, name: '', place: '1' } as const;
  const work = {
    ...stamp('w', '2026-05-01'),
    kind: 'work',
    task,
    reasons: [],
    urgency: 'next-visit',
    from: null,
    to: null,
  } as const;
  const said = { kind: 'work-step', refers: 'w', words: '', on: null } as const;
  const told: Life['entries'] = [
    { ...work, minutes: null, parts: [], note: '' },
    { ...stamp('s1', '2026-05-02'), ...said, step: 'put', keeper: '' },
    { ...stamp('s2', '2026-06-03'), ...said, step: 'declined', keeper: 'Greta' },
  ];
  const line = lifeLine({ visits: [visit('a', '2026-05-15')], entries: [...entries, ...told] });
  expect(line.slice(0, 2)).toMatchObject([
    { kind: 'work', id: 'w', work: { state: 'declined' }, at: '2026-06-03T18:00:00.000Z' },
    { kind: 'visit', id: 'a' },
  ]);
  expect(line.filter(({ kind }) => kind === 'work').map(shownUnder)).toEqual(['jobs']);
});

test('an empty life is an empty line', () => expect(lifeLine({ visits: [], entries: [] })).toEqual([]));
