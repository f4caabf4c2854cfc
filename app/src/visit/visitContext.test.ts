/** @jest-environment node */
import type { Life, Visit } from '@weskopos/contract';
import type { LifeEntry, LifeEntryContent } from '@weskopos/core';
import { CAR, findingOf, inspectionOf, readingOf, rulesWith } from '@weskopos/core/tests/builders';
import { gradePoint, nextFinding, pointKey, type Place } from '@weskopos/core';
import { blankVisit } from '../sync/blankVisit';
import { canPutRight, gradingOf, historyOf, partnerOf, withDraft } from './visitContext';

const ref = { point: 'pad.inner', place: '1L' } as const;

function visitOf(n: number, meter: number, pad: number | null, signed = true): Visit {
  const id = `00000000-0000-4000-8000-0000000000b${n}`;
  const startedAt = `2026-0${n}-01T08:00:00.000Z`;
  const finding = pad === null ? null : findingOf('pad.inner', '1L', { readings: [readingOf('lining', pad)] }, id);
  return blankVisit(inspectionOf(CAR, { id, startedAt, meter, signedAt: signed ? startedAt : null }), 'Isla', {
    findings: finding ? [{ ...finding, by: 'Isla' }] : [],
    signedBy: signed ? 'Isla' : null,
  });
}

const earlier = [visitOf(1, 10_000, 10), visitOf(2, 12_000, 9), visitOf(3, 14_000, null)];
const today = visitOf(4, 18_000, null, false);
const life: Life = { vehicle: CAR, visits: [...earlier, today], entries: [] };
const rules = rulesWith();
const history = historyOf(CAR, today.inspection, earlier, rules);
const grading = gradingOf(life, today, rules);

test('the ghost is the last visit that read the point, not the last visit', () => {
  expect(history.ghost(ref, 'lining', 'whole')).toBe(9);
  expect(history.lastLook(ref)?.visit.inspection.id).toBe(earlier[1]?.inspection.id);
  expect(history.ghost({ point: 'pad.inner', place: '2R' }, 'lining', 'whole')).toBeNull();
});

test('the expected value is the trend’s at today’s distance, never below nothing', () => {
  // Two readings on one coarse gauge say 6; what pads usually wear says 7.5: the truth lies between.
  expect(history.expected(ref, 'lining', 'whole')).toBeGreaterThan(6);
  expect(history.expected(ref, 'lining', 'whole')).toBeLessThan(7.6);
  const far = visitOf(4, 90_000, null, false);
  expect(historyOf(CAR, far.inspection, earlier, rules).expected(ref, 'lining', 'whole')).toBe(0);
  expect(history.expected({ point: 'tyre.pressure', place: '1L' }, 'pressure', 'whole')).toBeNull();
});

test('a point that was only not reached, or has but a photo, leaves no ghost', () => {
  const blind = { ...visitOf(3, 14_000, null) };
  for (const access of ['not-reached', 'open'] as const) {
    const finding = {
      ...findingOf('pad.inner', '1L', { access, accessReason: 'seized' }, blind.inspection.id),
      by: 'Isla',
    };
    const look = historyOf(
      CAR,
      today.inspection,
      [...earlier.slice(0, 2), { ...blind, findings: [finding] }],
      rules,
    ).lastLook(ref);
    expect(look?.visit.inspection.id).toBe(earlier[1]?.inspection.id);
  }
});

const slot = { measure: 'lining', spot: 'whole', phase: 'found' } as const;

test('a recent look may be carried, one of the template that carries nothing may not', () => {
  expect(history.carriable(ref)?.finding.readings[0]?.values).toEqual([9]);
  expect(historyOf(CAR, today.inspection, earlier, rulesWith({}, 'pre-purchase')).carriable(ref)).toBeUndefined();
});

test('what is put right on the spot, and whose partner it is', () => {
  const at = (point: 'oil.level' | 'tyre.pressure' | 'tyre.tread', place: Place) => canPutRight({ point, place });
  expect([at('oil.level', ''), at('tyre.pressure', '1L'), at('tyre.tread', '1L')]).toEqual([true, true, false]);
  const outer = findingOf('pad.outer', '1L');
  const withOuter = { history, grading: { ...grading, standing: new Map([['pad.outer@1L', outer]]) } };
  expect(partnerOf(ref, withOuter)).toBe(outer);
  expect(partnerOf({ point: 'tyre.tread', place: '1L' }, withOuter)).toBeUndefined();
});

describe('a value under the finger', () => {
  test('is graded at once and changes nothing that stands', () => {
    const drafted = withDraft(grading, ref, { ...slot, value: 1.2 });
    expect(gradePoint(ref, drafted).grade).toBe('fail');
    expect(gradePoint(ref, grading).grade).toBe('not-seen');
    expect(grading.standing.size).toBe(0);
  });

  test('that equals what stands, or is no value, is what stands', () => {
    const standing = nextFinding(
      undefined,
      { inspectionId: today.inspection.id, ...ref },
      { id: 'x', at: '' },
      { access: 'seen', readings: [readingOf('lining', 5)] },
    );
    const read = {
      grading: { ...grading, standing: new Map([[pointKey(ref.point, ref.place), standing]]) },
    };
    expect(withDraft(read.grading, ref, { ...slot, value: 5 })).toBe(read.grading);
    expect(withDraft(read.grading, ref, null)).toBe(read.grading);
  });

  test('as left it is graded beside the reading as found', () => {
    const standing = nextFinding(
      undefined,
      { inspectionId: today.inspection.id, ...ref },
      { id: 'x', at: '' },
      { access: 'seen', readings: [readingOf('lining', 1)] },
    );
    const read = {
      grading: { ...grading, standing: new Map([[pointKey(ref.point, ref.place), standing]]) },
    };
    expect(gradePoint(ref, withDraft(read.grading, ref, { ...slot, phase: 'left', value: 10 }))).toMatchObject({
      grade: 'pass',
      asFound: 'fail',
      corrected: true,
    });
  });
});

describe('parts lead', () => {
  const life = (n: number, content: LifeEntryContent, at = '2026-03-20T08:00:00.000Z'): LifeEntry => ({
    id: `e${n}`,
    vehicleId: CAR.id,
    at,
    meter: 15_000,
    ...content,
  });
  const after = (entries: LifeEntry[], visits: Visit[] = earlier) =>
    historyOf(CAR, today.inspection, visits, rules, { entries });
  const newPads = life(1, { kind: 'fit', what: 'pads', place: '1L', fresh: 12, note: '' });

  test('a new pad’s ghost is what it was when fitted, what is expected follows it, and the old one is no last look', () => {
    const told = after([newPads]);
    expect(told.lastLook(ref)).toBeUndefined();
    expect(told.ghost(ref, 'lining', 'whole')).toBe(12);
    expect(told.fitted(ref)).toEqual({ at: newPads.at, meter: 15_000, fresh: 12 });
    const expected = told.expected(ref, 'lining', 'whole') ?? 0;
    expect(expected).toBeGreaterThan(10.5);
    expect(expected).toBeLessThan(12);
    expect(after([newPads, life(2, { kind: 'undo', refers: 'e1' })]).ghost(ref, 'lining', 'whole')).toBe(9);
    // Nobody measured it: nothing is shown rather than the old one.
    const unmeasured = after([life(3, { kind: 'fit', what: 'pads', place: '1L', fresh: null, note: '' })]);
    expect(unmeasured.ghost(ref, 'lining', 'whole')).toBeNull();
  });

  test('a tyre brings its last look and what is expected of it along', () => {
    const tread = (place: Place, mm: number) => ({
      ...findingOf('tyre.tread', place, { readings: [readingOf('tread', mm, 'centre')] }, earlier[0]?.inspection.id),
      by: 'Isla',
    });
    const read = { ...earlier[0], findings: [tread('1L', 4), tread('2L', 7)] } as Visit;
    const moves = [
      { from: '1L', to: '2L' },
      { from: '2L', to: '1L' },
    ] as const;
    const told = after([life(4, { kind: 'rotate', moves })], [read]);
    const front = { point: 'tyre.tread', place: '1L' } as const;
    expect(told.ghost(front, 'tread', 'centre')).toBe(7);
    expect(told.lastLook(front)?.finding.place).toBe('2L');
    expect(told.expected(front, 'tread', 'centre')).toBeGreaterThan(5);
    expect(told.expected({ ...front, place: '2L' }, 'tread', 'centre')).toBeLessThan(4);
    expect(told.fitted(front)).toBeUndefined();
  });

  test('a bound’s ghost is no number', () => {
    const visit = visitOf(1, 10_000, 10);
    const [finding] = visit.findings;
    const bound = {
      ...visit,
      findings: finding ? [{ ...finding, readings: [{ ...readingOf('lining', 3), bound: 'over' as const }] }] : [],
    };
    const told = historyOf(CAR, today.inspection, [bound], rules);
    expect(told.ghost(ref, 'lining', 'whole')).toBeNull();
    expect(told.lastLook(ref)).toBeDefined();
  });
});
