import { gradedPoints } from '../grading/verdict';
import type { LifeEntry } from '../parts/lifeEntry';
import type { WorkStepContent, WorkTask } from '../parts/work';
import type { ToDo } from '../report/toDo';
import { CAR, boardPartOf, contextOf, findingOf, readingOf, treadOf } from '../tests/builders';
import { comesAfter, groupWorks } from './groupWorks';
import { pointsOfWorks } from './pointsOfWorks';
import { proposeWorks, worksBoard, type Proposal } from './proposeWorks';
import { worksOf } from './worksOf';

const AT = '2026-11-20T08:00:00.000Z';
const FOUND = [
  findingOf('pad.inner', '1L', { readings: [readingOf('lining', 1)] }),
  findingOf('pad.inner', '1R', { readings: [readingOf('lining', 2.4)] }),
  findingOf('tyre.tread', '2R', { readings: treadOf(1.2, 1.3, 1.2) }),
  findingOf('damper', '2L', { words: ['rod-wet'] }),
  findingOf('brake.fluid.water', '', { readings: [readingOf('water', 3.5)] }),
  findingOf('coolant.level', '', { readings: [readingOf('level', -20)] }),
];
const graded = gradedPoints(contextOf(CAR, FOUND));
const found = (point: string, place = '', at = AT): ToDo => {
  const one = graded.find((all) => all.point === point && all.place === place);
  if (!one) throw new Error(`${point} ${place} is not there`);
  return {
    kind: 'finding',
    found: { graded: one, inspectionId: 'v', at },
    stops: point === 'pad.inner' && place === '1L',
  };
};
const PADS_L = found('pad.inner', '1L');
const PADS_R = found('pad.inner', '1R');
const oil = (late: boolean, by = '2026-12-05'): ToDo => ({
  kind: 'job',
  due: { job: { code: 'engine-oil', name: '' }, doneAt: AT, meter: null, by, capped: false },
  when: { at: by, by: 'date' },
  late,
});
const bolts = (since: string): ToDo => ({ kind: 'bolts', again: { fromKm: 50, toKm: 100, since }, late: false });
const runsOut = (point: 'tyre.tread' | 'pad.outer', place: '2L' | '1L', at = AT): ToDo => ({
  kind: 'runs-out',
  part: boardPartOf({ point, place, at, days: { low: 30, mid: 60, high: 90 } }),
  from: '2026-12-20T08:00:00.000Z',
});

const task = (change: Partial<WorkTask>): WorkTask => ({ code: 'own', point: null, name: '', place: '', ...change });
let ids = 0;
const stamp = (at: string) => ({ id: `e${(ids += 1)}`, vehicleId: 'v', at, meter: null });
const work = (proposal: Proposal, at = AT): LifeEntry & { kind: 'work' } => ({
  ...stamp(at),
  kind: 'work',
  ...proposal,
  minutes: null,
  parts: [],
  note: '',
});
const said = (
  { id }: { readonly id: string },
  step: WorkStepContent['step'],
  at: string,
  change: Partial<WorkStepContent> = {},
): LifeEntry => ({ ...stamp(at), kind: 'work-step', refers: id, step, words: '', on: null, keeper: '', ...change });

describe('what is proposed', () => {
  test('keeps both sides of an axle together, says what is done, and takes the most urgent reason for when', () => {
    const list = [PADS_R, PADS_L, found('tyre.tread', '2R'), found('damper', '2L'), runsOut('pad.outer', '1L')];
    const proposals = proposeWorks(list);
    expect(proposals.map((one) => [one.task, one.urgency, one.reasons.length])).toEqual([
      [task({ code: 'pads', place: '1' }), 'not-driven', 3],
      [task({ code: 'tyres', place: '2' }), 'before-next', 1],
      [task({ code: 'put-right', point: 'damper', place: '2' }), 'next-visit', 1],
    ]);
    expect(proposals[0]?.reasons[0]).toMatchObject({ kind: 'finding', place: '1L', grade: 'fail' });
  });

  test('a job renews what is judged by its age or condition; a low level asks for its reason', () => {
    const proposals = proposeWorks([found('brake.fluid.water'), found('coolant.level')]);
    expect(proposals.map((one) => one.task)).toEqual(
      expect.arrayContaining([task({ code: 'brake-fluid' }), task({ code: 'put-right', point: 'coolant.level' })]),
    );
  });

  test('what runs out is wanted between two days, a job by its day, an overdue one before the next drive', () => {
    const [tyres] = proposeWorks([runsOut('tyre.tread', '2L')]);
    expect(tyres).toMatchObject({ urgency: 'by', from: '2026-12-20', to: '2027-02-18' });
    expect(proposeWorks([oil(false)])[0]).toMatchObject({ urgency: 'by', from: '2026-12-05', to: null });
    expect(proposeWorks([oil(true)])[0]).toMatchObject({ urgency: 'before-next', from: null });
    expect(proposeWorks([bolts(AT)])[0]).toMatchObject({ task: task({ code: 'wheel-bolts' }), urgency: 'before-next' });
  });
});

describe('what is written down', () => {
  const [pads] = proposeWorks([PADS_R]);
  if (!pads) throw new Error('nothing is proposed');

  test('is not proposed again, and stands by the last word', () => {
    const one = work(pads);
    const board = worksBoard(
      [PADS_R, oil(false)],
      worksOf([
        one,
        said(one, 'put', '2026-11-21T08:00:00.000Z'),
        said(one, 'declined', '2026-11-22T08:00:00.000Z', { keeper: 'Greta', words: 'next month' }),
      ]),
    );
    expect(board.proposed.map(({ task: { code } }) => code)).toEqual(['engine-oil']);
    expect(board.open).toMatchObject([{ id: one.id, state: 'declined', declines: 1, worse: null }]);
  });

  test('a declined one that got worse says so', () => {
    const one = work(pads);
    const works = worksOf([one, said(one, 'declined', '2026-11-22T08:00:00.000Z')]);
    const later = found('pad.inner', '1L', '2026-12-20T08:00:00.000Z');
    expect(worksBoard([PADS_R, later], works).open[0]?.worse).toMatchObject({ urgency: 'not-driven' });
    expect(worksBoard([PADS_R], works).open[0]?.worse).toBeNull();
  });

  test('of two answers the later stands, and both are told; an answer after it was done changes nothing', () => {
    const one = work(pads);
    const agreed = said(one, 'agreed', '2026-11-23T08:00:00.000Z', { keeper: 'Greta' });
    const declined = said(one, 'declined', '2026-11-22T08:00:00.000Z', { keeper: 'Greta' });
    const done = said(one, 'done', '2026-11-24T08:00:00.000Z');
    const late = said(one, 'declined', '2026-11-25T08:00:00.000Z', { keeper: 'Greta' });
    expect(worksOf([one, agreed, declined])[0]).toMatchObject({ state: 'agreed', steps: [{}, {}] });
    expect(worksOf([one, agreed, done, late])[0]).toMatchObject({ state: 'done', steps: [{}, {}, { id: late.id }] });
    expect(worksOf([one, done, said(one, 'again', '2026-11-26T08:00:00.000Z')])[0]?.state).toBe('proposed');
  });

  test('done settles what was found before, not what is found after; withdrawn settles it until it is worse', () => {
    const [damper] = proposeWorks([found('damper', '2L')]);
    const one = work(damper ?? pads);
    const done = worksOf([one, said(one, 'done', '2026-11-24T08:00:00.000Z')]);
    expect(worksBoard([found('damper', '2L')], done).proposed).toEqual([]);
    expect(worksBoard([found('damper', '2L', '2026-12-24T08:00:00.000Z')], done).proposed).toHaveLength(1);
    const other = work(pads);
    const withdrawn = worksOf([other, said(other, 'withdrawn', '2026-11-24T08:00:00.000Z', { words: 'sold' })]);
    expect(worksBoard([PADS_R], withdrawn).proposed).toEqual([]);
    expect(worksBoard([PADS_R, PADS_L], withdrawn).proposed).toHaveLength(1);
    expect(worksBoard([PADS_R], withdrawn).closed).toMatchObject([{ state: 'withdrawn' }]);
  });

  test('what was done once is proposed again when it falls due, runs out or comes loose anew', () => {
    const again: readonly (readonly [ToDo, ToDo])[] = [
      [runsOut('tyre.tread', '2L'), runsOut('tyre.tread', '2L', '2028-11-20T08:00:00.000Z')],
      [bolts(AT), bolts('2028-11-20T08:00:00.000Z')],
      [oil(true), oil(true, '2028-12-05')],
    ];
    for (const [first, later] of again)
      for (const end of ['done', 'withdrawn'] as const) {
        const one = work(proposeWorks([first])[0] ?? pads);
        const works = worksOf([one, said(one, end, '2026-11-24T08:00:00.000Z', { words: 'so' })]);
        // A job that was done is due no more; one that still is was not written down as done.
        const settled = end === 'withdrawn' || first.kind !== 'job';
        expect(worksBoard([first], works).proposed).toHaveLength(settled ? 0 : 1);
        expect(worksBoard([later], works).proposed).toHaveLength(1);
      }
  });

  test('what a work takes is said anew as often as one likes: the last word counts, until it is taken back', () => {
    const one = work(pads);
    const cost = (at: string, minutes: number | null, name: string): LifeEntry => ({
      ...stamp(at),
      kind: 'work-cost',
      refers: one.id,
      minutes,
      parts: [{ name, number: '', count: 1 }],
    });
    const [first, second] = [cost('2026-11-24T08:00:00.000Z', 60, 'a'), cost('2026-11-25T08:00:00.000Z', null, 'b')];
    expect(worksOf([one])[0]).toMatchObject({ minutes: null, parts: [] });
    expect(worksOf([one, second, first])[0]).toMatchObject({
      minutes: null,
      parts: [{ name: 'b' }],
      state: 'proposed',
    });
    const back: LifeEntry = { ...stamp('2026-11-26T08:00:00.000Z'), kind: 'undo', refers: second.id };
    expect(worksOf([one, second, first, back])[0]).toMatchObject({ minutes: 60, parts: [{ name: 'a' }] });
  });

  test('what was taken back is gone; a plan tells its day until something else is said', () => {
    const one = work(pads);
    const planned = said(one, 'planned', '2026-11-24T08:00:00.000Z', { on: '2026-12-03' });
    expect(worksOf([one, planned])[0]).toMatchObject({ state: 'planned', plannedOn: '2026-12-03' });
    const back: LifeEntry = { ...stamp('2026-11-25T08:00:00.000Z'), kind: 'undo', refers: planned.id };
    expect(worksOf([one, planned, back])[0]).toMatchObject({ state: 'proposed', plannedOn: null });
    expect(worksOf([one, { ...back, refers: one.id }])).toEqual([]);
  });
});

test('a return visit looks where works that were done or are still wanted were found; not at what it has seen since', () => {
  const [pads] = proposeWorks([PADS_R, PADS_L]);
  const [damper] = proposeWorks([found('damper', '2L')]);
  if (!pads || !damper) throw new Error('nothing is proposed');
  const [one, other] = [work(pads), work(damper)];
  const done = said(one, 'done', '2026-11-24T08:00:00.000Z');
  const gone = said(other, 'withdrawn', '2026-11-24T08:00:00.000Z');
  const asked = (since: string, entries: LifeEntry[]) => pointsOfWorks(worksOf(entries), since);
  expect(asked('2026-11-20T08:00:00.000Z', [one, done, other])).toEqual(['pad.inner@1L', 'pad.inner@1R', 'damper@2L']);
  expect(asked('2026-12-01T08:00:00.000Z', [one, done, other])).toEqual(['damper@2L']);
  expect(asked('2026-11-20T08:00:00.000Z', [other, gone])).toEqual([]);
});

describe('what is done in one go', () => {
  const wanted = (...tasks: Partial<WorkTask>[]) =>
    tasks.map((one) => ({ task: task(one), urgency: 'next-visit' as const }));
  const told = (works: ReturnType<typeof wanted>) =>
    groupWorks(works).map(({ opening, works: same }) => [
      opening.kind === 'brakes' ? `brakes ${opening.axle}` : opening.kind,
      same.map((one) => one.task.point ?? one.task.code),
    ]);

  test('shares an opening; the brakes are bled once, and last', () => {
    expect(
      told(
        wanted(
          { code: 'brake-fluid' },
          { code: 'pads', place: '1' },
          { code: 'discs', place: '1' },
          { code: 'put-right', point: 'calliper', place: '1L' },
          { code: 'engine-oil' },
          { code: 'oil-filter' },
          { code: 'battery' },
        ),
      ),
    ).toEqual([
      ['brakes 1', ['pads', 'discs', 'calliper', 'brake-fluid']],
      ['tray', ['engine-oil', 'oil-filter']],
      ['alone', ['battery']],
    ]);
  });

  test('what has nobody to share with stands alone, the fluid too where no brake is opened', () => {
    expect(told(wanted({ code: 'brake-fluid' }, { code: 'pads', place: '2' }))).toEqual([
      ['brakes 2', ['pads', 'brake-fluid']],
    ]);
    expect(told(wanted({ code: 'brake-fluid' }, { code: 'tyres', place: '2' }))).toEqual([
      ['alone', ['brake-fluid', 'tyres']],
    ]);
  });

  test('wheels are aligned once joints and tyres are as they stay', () => {
    const [alignment, tyres] = [task({ code: 'alignment' }), task({ code: 'tyres', place: '1' })];
    expect([comesAfter(alignment, tyres), comesAfter(tyres, alignment)]).toEqual([true, false]);
    expect(comesAfter(alignment, task({ code: 'put-right', point: 'damper', place: '1' }))).toBe(true);
    expect(told(wanted({ code: 'alignment' }, { code: 'tyres', place: '1' }))).toEqual([
      ['wheels', ['tyres', 'alignment']],
    ]);
  });
});
