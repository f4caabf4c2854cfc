/** @jest-environment node */
import { doubtId, doubtsAbout } from '@weskopos/core/walk';
import { walkSteps, type Finding } from '@weskopos/core';
import { CAR, contextOf, findingOf, readingOf, rulesWith, treadOf } from '@weskopos/core/tests/builders';
import type { Background } from '../../visit/visitContext';
import { alike } from './alike';
import { isUntouched, verdictsOf } from './verdicts';

const { template, house } = rulesWith();
const steps = walkSteps({ vehicle: CAR, template, house, focus: null });
const brake = steps.find(({ id, points }) => points.some(({ point }) => point === 'pad.outer') && id.includes('1L'))!;
const behind = (findings: readonly Finding[]): Background =>
  ({ grading: contextOf(CAR, findings), history: {} }) as unknown as Background;
const pad = (code: 'pad.outer' | 'pad.inner', mm: number) =>
  findingOf(code, '1L', { readings: [readingOf('lining', mm, 'whole')] });

test('the worst of a step comes first, what nobody looked at is left out as soon as something was', () => {
  const [only, ...none] = verdictsOf(brake, behind([]), null);
  expect([only && isUntouched(only.result), none]).toEqual([true, []]);
  const told = verdictsOf(brake, behind([pad('pad.outer', 8), pad('pad.inner', 1)]), null);
  expect(told.map(({ ref, result }) => [ref.point, result.grade])).toEqual([
    ['pad.inner', 'fail'],
    ['pad.outer', 'advisory'],
  ]);
});

test('a finger that still slides counts at once', () => {
  const findings = [pad('pad.outer', 8), pad('pad.inner', 8)];
  const draft = { key: 'pad.outer@1L', measure: 'lining', spot: 'whole', phase: 'found', value: 1 } as const;
  expect(verdictsOf(brake, behind(findings), null)[0]?.result.grade).toBe('pass');
  expect(verdictsOf(brake, behind(findings), draft)[0]).toMatchObject({
    key: 'pad.outer@1L',
    result: { grade: 'fail' },
  });
});

test('what is doubted alike is asked once, with every place in it', () => {
  const now = findingOf('tyre.tread', '1L', { readings: treadOf(6, 6, 6) });
  const last = findingOf('tyre.tread', '1L', { readings: treadOf(4, 4, 4) });
  const doubts = doubtsAbout(now, last, undefined, '2026-06-01T08:00:00.000Z', house);
  const better = alike(doubts).filter(([first]) => first?.code === 'better-than-last');
  expect(better).toHaveLength(1);
  expect(better[0]?.map(({ spot }) => spot)).toEqual(['outer', 'centre', 'inner']);
  expect(alike(doubts).flat().map(doubtId).sort()).toEqual(doubts.map(doubtId).sort());
});
