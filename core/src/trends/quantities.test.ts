import fc from 'fast-check';
import { CATALOGUE } from '../catalogue/catalogue';
import { momentsOf, quantityOf } from '../catalogue/quantities';
import { outlookOf } from '../outlook/outlookOf';
import type { Finding } from '../inspection/finding';
import { CAR, findingOf, inspectionOf, readingOf, rulesWith } from '../tests/builders';
import { BUILT_IN_FLEET } from './fleetKnowledge';
import { rawReadings } from './standingLooks';

type Moment = 'cold.oil' | 'oil.level' | 'close.level';
const level = (point: Moment, value: number, inspectionId = 'v', phase: 'found' | 'left' = 'found'): Finding =>
  findingOf(point, '', { readings: [readingOf('level', value, 'whole', phase)] }, inspectionId);
const told = (looks: readonly Finding[]) =>
  rawReadings(looks, { vehicle: CAR, house: rulesWith().house }).map(({ point, phase, value }) => [
    point,
    phase,
    value,
  ]);

test('the catalogue says which points read one quantity, in the order of a visit', () => {
  expect(momentsOf('close.level')).toEqual(['cold.oil', 'oil.level', 'close.level']);
  expect(momentsOf('oil.level')).toEqual(momentsOf('cold.oil'));
  expect(momentsOf('coolant.level')).toEqual(['cold.coolant', 'coolant.level']);
  expect(momentsOf('tyre.tread')).toEqual(['tyre.tread']);
  // A quantity is kept under one that reads it, and every point has one.
  for (const { code } of CATALOGUE) expect(momentsOf(code)).toContain(quantityOf(code));
});

test('one oil level is as found at the gate and as left at the last look; read again the same, it is the same reading', () => {
  expect(told([level('cold.oil', 0.3), level('oil.level', 0.32), level('close.level', 0.9)])).toEqual([
    ['oil.level', 'found', 0.3],
    ['oil.level', 'left', 0.9],
  ]);
  expect(told([level('oil.level', 0.3)])).toEqual([['oil.level', 'found', 0.3]]);
  expect(told([level('cold.oil', 0.3), level('cold.oil', 0.5, 'next')])).toEqual([
    ['oil.level', 'found', 0.3],
    ['oil.level', 'found', 0.5],
  ]);
});

test('in whatever order they come in, each visit has one reading as found', () => {
  const looks = fc.uniqueArray(
    fc.record({
      point: fc.constantFrom<Moment>('cold.oil', 'oil.level', 'close.level'),
      value: fc.integer({ min: -3, max: 13 }).map((tenths) => tenths / 10),
      visit: fc.constantFrom('a', 'b', 'c'),
    }),
    { selector: ({ point, visit }) => `${point} ${visit}`, maxLength: 9 },
  );
  fc.assert(
    fc.property(
      looks.chain((all) => fc.tuple(fc.constant(all), fc.shuffledSubarray(all, { minLength: all.length }))),
      ([all, shuffled]) => {
        const readings = (given: typeof all) =>
          rawReadings(
            given.map(({ point, value, visit }) => level(point, value, visit)),
            { vehicle: CAR, house: rulesWith().house },
          ).map(({ inspectionId, phase, value }) => `${inspectionId} ${phase} ${value}`);
        const [one, other] = [readings(all), readings(shuffled)];
        expect([...one].sort()).toEqual([...other].sort());
        for (const visit of new Set(all.map((look) => look.visit)))
          expect(one.filter((text) => text.startsWith(`${visit} found`))).toHaveLength(1);
      },
    ),
    { numRuns: 500 },
  );
});

test('the life sheet has one trend of the oil, that begins anew where it was filled', () => {
  const visit = (n: number, ...findings: Finding[]) => {
    const inspection = inspectionOf(CAR, { id: `v${n}`, startedAt: `2026-0${n}-01T08:00:00.000Z`, meter: 10_000 * n });
    return { inspection, findings: findings.map((finding) => ({ ...finding, inspectionId: `v${n}` })), acts: [] };
  };
  const visits = [
    visit(1, level('cold.oil', 0.9)),
    visit(3, level('oil.level', 0.5)),
    visit(5, level('cold.oil', 0.1), level('oil.level', 0.1), level('close.level', 1)),
    visit(7, level('cold.oil', 0.8)),
  ];
  const { states } = outlookOf(CAR, visits, [], rulesWith(), BUILT_IN_FLEET);
  expect(states.map(({ key }) => key)).toEqual(['oil.level:whole']);
  expect(states[0]?.readings.map(({ value, startsLine }) => [value, startsLine])).toEqual([
    [0.9, false],
    [0.5, false],
    [0.1, false],
    [1, true],
    [0.8, false],
  ]);
});
