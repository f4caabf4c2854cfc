/** @jest-environment node */
import { walkSteps } from '@weskopos/core';
import { CAR, rulesWith } from '@weskopos/core/tests/builders';
import { routeNext } from './routeWay';
import type { WalkRoute } from './useRoute';

const { template, house } = rulesWith();
const steps = walkSteps({ vehicle: CAR, template, house, focus: null });
const at = (stop: string) => steps.filter((step) => step.stop === stop);
const leg = (id: string, startS: number) => ({ id, startS });
const route = (savedS: number, ...ids: readonly string[]) =>
  ({
    legs: ids.map((id, n) => leg(id, n * 60)),
    waits: [],
    savedS,
    totalS: 600,
    longerAtMost: 0,
    steps: new Map([
      ['bonnet', at('bonnet')],
      ['1L', at('1L')],
    ]),
  }) as unknown as WalkRoute;
const [here] = at('bonnet');

test('the route’s next stop is the first that is not the one in hand; what it saves is told from a minute on', () => {
  expect(routeNext(route(59, 'bonnet', '1L'), here!, CAR)).toMatchObject({
    stop: '1L',
    name: 'Nearside front',
    saves: '',
  });
  expect(routeNext(route(600, 'bonnet', '1L'), here!, CAR)).toMatchObject({ saves: '10 min' });
  expect(routeNext(route(600, 'bonnet'), here!, CAR)).toBeNull();
});

test('what is done to the vehicle has no stop of its own: it stands among the loose ends', () => {
  expect(routeNext(route(0, 'bonnet', 'wheel/1L/off'), here!, CAR)).toMatchObject({
    step: null,
    stop: null,
    name: 'Wheel off, nearside front',
  });
});
