/** @jest-environment node */
import { blankVisit } from '../../sync/blankVisit';
import { vehicleState, walkSteps, USUAL_HOUSE_RULES, templateBy } from '@weskopos/core';
import { ENGINE_START, usualSeconds, visitRoute } from '@weskopos/core/walk';
import { CAR, findingOf, inspectionOf } from '@weskopos/core/tests/builders';
import { answerRoute } from '../../workers/routeAnswer';
import { lastDone } from '../walk/useReturn';
import { clockWords } from '../../visit/useNow';

test.each([
  [0, '0:00'],
  [0.2, '0:01'],
  [59.5, '1:00'],
  [400, '6:40'],
  [3900, '1:05:00'],
])('%s s is told as %s', (seconds, told) => {
  expect(clockWords(seconds)).toBe(told);
});

test('the newest thing done counts, an entry or an act, and the arrival where there is none', () => {
  const inspection = inspectionOf(CAR);
  const visit = blankVisit(inspection, 'Isla');
  expect(lastDone(visit)).toBe(Date.parse(inspection.startedAt));
  const later = { ...findingOf('belt.aux', ''), at: '2026-06-01T09:00:00.000Z', by: 'Isla' };
  expect(lastDone({ ...visit, findings: [later] })).toBe(Date.parse(later.at));
  const act = { id: 'a', inspectionId: inspection.id, at: '2026-06-01T09:30:00.000Z', by: 'Isla' };
  const opened = { ...act, kind: 'open', end: 'tray', place: '', fasteners: 6 } as const;
  expect(lastDone({ ...visit, findings: [later], acts: [opened] })).toBe(Date.parse(act.at));
});

test('the worker’s answer: legs in order, what is saved against the list, waits used; nothing for what cannot be', () => {
  const startedAt = '2026-06-01T08:00:00.000Z';
  const nowMs = Date.parse(startedAt);
  const house = USUAL_HOUSE_RULES;
  const { question } = visitRoute({
    steps: walkSteps({ vehicle: CAR, template: templateBy([], 'interim'), house, focus: null }),
    isOpen: () => true,
    state: vehicleState({ state: 'cold', startedAt }, [], nowMs),
    acts: [],
    nowMs,
    axles: 2,
    hasEngine: true,
    at: 'cold',
    beginWith: 'cold',
    secondsOf: usualSeconds,
  });
  // What crosses to a worker must be plain data.
  const answer = answerRoute(structuredClone(question));
  expect(answer?.legs).toHaveLength(question.stops.length);
  expect(answer?.legs.map(({ id }) => id)).toContain(ENGINE_START);
  expect(answer?.savedS).toBeGreaterThanOrEqual(0);
  expect(answer?.totalS).toBe(answer?.legs.at(-1)?.endS);
  const [first, second] = question.stops;
  const blocked = {
    ...question,
    stops: question.stops.slice(0, 2),
    lags: [],
    spans: [{ from: null, to: second?.id ?? '', excluded: [first?.id ?? '', second?.id ?? ''] }],
  };
  expect(answerRoute(blocked)).toBeNull();
});
