/** @jest-environment node */
import type { Life, Visit } from '@weskopos/contract';
import { CAR, findingOf, inspectionOf, readingOf } from '@weskopos/core/src/tests/builders';
import { gradePoint, nextFinding, pointKey } from '@weskopos/core';
import { backgroundOf, withDraft } from './visitContext';

const ref = { point: 'pad.inner', place: '1L' } as const;

function visitOf(n: number, meterKm: number, pad: number | null, signed = true): Visit {
  const id = `00000000-0000-4000-8000-0000000000b${n}`;
  const startedAt = `2026-0${n}-01T08:00:00.000Z`;
  const finding = pad === null ? null : findingOf('pad.inner', '1L', { readings: [readingOf('lining', pad)] }, id);
  return {
    inspection: inspectionOf(CAR, { id, startedAt, meterKm, signedAt: signed ? startedAt : null }),
    findings: finding ? [{ ...finding, by: 'Isla' }] : [],
    inspector: 'Isla',
    signedBy: signed ? 'Isla' : null,
  };
}

const earlier = [visitOf(1, 10_000, 10), visitOf(2, 12_000, 9), visitOf(3, 14_000, null)];
const today = visitOf(4, 18_000, null, false);
const life: Life = { vehicle: CAR, visits: [...earlier, today] };
const background = backgroundOf(life, today, earlier);

test('the ghost is the last visit that read the point, not the last visit', () => {
  expect(background.ghost(ref, 'whole')).toBe(9);
  expect(background.lastFinding(ref)?.visit.inspection.id).toBe(earlier[1]?.inspection.id);
  expect(background.ghost({ point: 'pad.inner', place: '2R' }, 'whole')).toBeNull();
});

test('the expected value is the trend’s at today’s distance, never below nothing', () => {
  expect(background.expected(ref, 'whole')).toBeCloseTo(6, 6);
  const far = visitOf(4, 90_000, null, false);
  expect(backgroundOf(life, far, earlier).expected(ref, 'whole')).toBe(0);
  expect(background.expected({ point: 'tyre.pressure', place: '1L' }, 'whole')).toBeNull();
});

test('a point that was only not reached, or has but a photo, leaves no ghost', () => {
  const blind = { ...visitOf(3, 14_000, null) };
  for (const access of ['not-reached', 'open'] as const) {
    const finding = {
      ...findingOf('pad.inner', '1L', { access, accessReason: 'seized' }, blind.inspection.id),
      by: 'Isla',
    };
    const look = backgroundOf(life, today, [...earlier.slice(0, 2), { ...blind, findings: [finding] }]).lastFinding(
      ref,
    );
    expect(look?.visit.inspection.id).toBe(earlier[1]?.inspection.id);
  }
});

describe('a value under the finger', () => {
  test('is graded at once and changes nothing that stands', () => {
    const drafted = withDraft(background, ref, 'whole', 'found', 1.2);
    expect(gradePoint(ref, drafted).grade).toBe('fail');
    expect(gradePoint(ref, background.grading).grade).toBe('not-seen');
    expect(background.grading.standing.size).toBe(0);
  });

  test('that equals what stands, or is no value, is what stands', () => {
    const standing = nextFinding(
      undefined,
      { inspectionId: today.inspection.id, ...ref },
      { id: 'x', at: '' },
      { access: 'seen', readings: [readingOf('lining', 5)] },
    );
    const read = {
      ...background,
      grading: { ...background.grading, standing: new Map([[pointKey(ref.point, ref.place), standing]]) },
    };
    expect(withDraft(read, ref, 'whole', 'found', 5)).toBe(read.grading);
    expect(withDraft(read, ref, 'whole', 'found', null)).toBe(read.grading);
  });

  test('as left it is graded beside the reading as found', () => {
    const standing = nextFinding(
      undefined,
      { inspectionId: today.inspection.id, ...ref },
      { id: 'x', at: '' },
      { access: 'seen', readings: [readingOf('lining', 1)] },
    );
    const read = {
      ...background,
      grading: { ...background.grading, standing: new Map([[pointKey(ref.point, ref.place), standing]]) },
    };
    expect(gradePoint(ref, withDraft(read, ref, 'whole', 'left', 10))).toMatchObject({
      grade: 'pass',
      asFound: 'fail',
      corrected: true,
    });
  });
});
