import { templateBy } from '../catalogue/templates';
import { USUAL_HOUSE_RULES } from '../house/houseRules';
import { visitPoints, type WalkPlan } from '../inspection/walkSteps';
import { CAR, findingOf } from '../tests/builders';
import { visitMinutes } from './visitMinutes';
import { usualSeconds } from './visitRoute';

const planOf = (template: string, change: Partial<WalkPlan> = {}): WalkPlan => ({
  vehicle: CAR,
  template: templateBy([], template),
  house: USUAL_HOUSE_RULES,
  focus: null,
  ...change,
});

/** A visit whose every point took so many seconds. */
const visitOf = (plan: WalkPlan, seconds: number) =>
  visitPoints(plan).map(({ point, place }, index) => ({
    ...findingOf(point, place),
    at: new Date(Date.parse('2026-06-01T08:00:00Z') + index * seconds * 1000).toISOString(),
  }));

test('as long as its points usually take, once round the vehicle and up and down the lift, rounded up to five', () => {
  const plan = planOf('interim');
  const work = visitPoints(plan).reduce((sum, ref) => sum + usualSeconds(ref), 0) / 60;
  const minutes = visitMinutes(plan, []);
  expect(minutes % 5).toBe(0);
  expect(minutes).toBeGreaterThan(work);
  expect(minutes).toBeLessThan(work + 12);
});

test('a whole inspection takes longer than a part of it, and what nobody looks at takes nothing', () => {
  const whole = planOf('full');
  expect(visitMinutes(whole, [])).toBeGreaterThan(visitMinutes(planOf('interim'), []));
  expect(visitMinutes({ ...whole, focus: ['belt.aux'] }, [])).toBe(5);
  expect(visitMinutes({ ...whole, focus: [] }, [])).toBe(0);
});

test('learns from three looks at a point how long it takes here, from fewer not', () => {
  const plan = planOf('interim');
  const slow = visitOf(plan, 100);
  const points = visitPoints(plan).length;
  // Looked at once in a visit: the first visit teaches nothing of them.
  const single = planOf('interim', { focus: ['belt.aux', 'cold.coolant', 'cold.oil'] });
  const once = visitOf(single, 290);
  expect(visitMinutes(single, [once])).toBe(visitMinutes(single, []));
  expect(visitMinutes(single, [once, once, once])).toBeGreaterThan(visitMinutes(single, []));
  const learned = visitMinutes(plan, [slow, slow, slow]);
  expect(learned).toBeGreaterThan(((points - 20) * 100) / 60);
  expect(learned).toBeLessThan((points * 100) / 60 + 12);
});
