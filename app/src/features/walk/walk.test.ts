/** @jest-environment node */
import { CAR, contextOf, findingOf, readingOf, rulesWith } from '@weskopos/core/tests/builders';
import { LAMPS, gradePoint, gradedPoints, nextFinding, walkSteps } from '@weskopos/core';
import { drawMark } from '../photo/drawMark';
import { DRAWING } from '@weskopos/core/decks/vehicleShape';
import { nearestPoint } from '@weskopos/core/decks/nearestPoint';
import { quickLook } from '../../visit/quickLook';
import { WALK_ACTS, WALK_KEYS, swipeAct, walkAct } from './walkKeys';

const { template, house } = rulesWith();
const steps = walkSteps({ vehicle: CAR, template, house, focus: null });
const stepOf = (id: string) => {
  const step = steps.find((one) => one.id === id);
  if (!step) throw new Error(`no step ${id}`);
  return step;
};
const nothing = { lastLook: () => undefined };

describe('what one tap may say', () => {
  test.each([
    ['belt.aux', 'Sound'],
    ['leak.engine', 'Dry'],
    ['walk.lamps', 'All lit'],
    ['cabin.codes', 'No codes'],
    ['wheel.rock@1L', 'No play'],
    ['close.sticker', 'Sound'],
  ])('of %s: %s', (id, label) => {
    const quick = quickLook(stepOf(id), new Map(), nothing);
    expect(quick?.label).toBe(label);
    const [ref] = stepOf(id).points;
    const finding = nextFinding(undefined, { inspectionId: '', ...ref! }, { id: 'x', at: '' }, quick?.changes[0] ?? {});
    expect(gradePoint(ref!, contextOf(CAR, [finding])).grade).toBe('pass');
  });

  test.each(['tyre.tread@1L', 'brake@1L', 'battery.rest', 'cabin.parkbrake', 'wheel.bolts@1L', 'coolant.strength'])(
    'nothing of %s, which wants a figure',
    (id) => expect(quickLook(stepOf(id), new Map(), nothing)).toBeNull(),
  );

  test('nothing where something was said already, but a note alone says nothing', () => {
    const with1 = (finding: ReturnType<typeof findingOf>) =>
      quickLook(stepOf('belt.aux'), new Map([['belt.aux', finding]]), nothing);
    expect(with1(findingOf('belt.aux', ''))).toBeNull();
    expect(with1(findingOf('belt.aux', '', { access: 'not-reached', accessReason: 'seized' }))).toBeNull();
    expect(with1(findingOf('belt.aux', '', { access: 'open', note: 'odd' }))?.label).toBe('Sound');
  });

  test('counts follow the last visit: how many there are, and every lamp', () => {
    const finding = findingOf('wheel.bolts', '1L', { counts: [{ item: 'all', good: 4, of: 6, found: null, out: [] }] });
    const last = { lastLook: () => ({ finding, visit: undefined as never }) };
    expect(quickLook(stepOf('wheel.bolts@1L'), new Map(), last)).toEqual({
      label: 'All 6 there',
      changes: [
        { access: 'seen', accessReason: null, counts: [{ item: 'all', good: 6, of: 6, found: null, out: [] }] },
      ],
    });
    expect(quickLook(stepOf('walk.lamps'), new Map(), nothing)?.changes[0]?.counts).toHaveLength(LAMPS.length);
  });
});

describe('keys and swipes', () => {
  const key = (pressed: string, change = {}) =>
    walkAct({ key: pressed, ctrlKey: false, metaKey: false, altKey: false, ...change });
  test('every key has one act, and none is taken from the browser', () => {
    const keys = WALK_ACTS.flatMap((act) => WALK_KEYS[act].keys);
    expect(new Set(keys).size).toBe(keys.length);
    for (const act of WALK_ACTS) for (const one of WALK_KEYS[act].keys) expect(key(one)).toBe(act);
    expect([key('n', { ctrlKey: true }), key('Enter'), key('F5')]).toEqual([undefined, undefined, undefined]);
  });
  test.each([
    [-100, 10, 'next'],
    [100, 10, 'back'],
    [-60, 0, undefined],
    [-100, 80, undefined],
  ] as const)('a finger moved by %d, %d', (x, y, act) => expect(swipeAct({ x: 0, y: 0 }, { x, y })).toBe(act));
});

describe('marks on a photo', () => {
  test.each([
    [
      'arrow dragged',
      drawMark('arrow', { x: 0.1, y: 0.2 }, { x: 0.5, y: 0.6 }, ''),
      { kind: 'arrow', x: 0.1, y: 0.2, toX: 0.5, toY: 0.6 },
    ],
    [
      'arrow tapped points there',
      drawMark('arrow', { x: 0.5, y: 0.5 }, { x: 0.5, y: 0.5 }, ''),
      { kind: 'arrow', x: 0.38, y: 0.38, toX: 0.5, toY: 0.5 },
    ],
    [
      'ring dragged',
      drawMark('ring', { x: 0.5, y: 0.5 }, { x: 0.8, y: 0.9 }, ''),
      { kind: 'ring', x: 0.5, y: 0.5, radius: 0.5 },
    ],
    [
      'ring tapped',
      drawMark('ring', { x: 1.3, y: 0.5 }, { x: 1.3, y: 0.5 }, ''),
      { kind: 'ring', x: 1, y: 0.5, radius: 0.12 },
    ],
    ['text', drawMark('text', { x: 0, y: 0 }, { x: 0, y: 0 }, ' wet '), { kind: 'text', x: 0, y: 0, text: 'wet' }],
    ['text of nothing', drawMark('text', { x: 0, y: 0 }, { x: 0, y: 0 }, ' '), null],
  ])('%s', (_, mark, expected) => expect(mark).toEqual(expected));
});

describe('a tap on a deck', () => {
  const points = gradedPoints(
    contextOf(CAR, [findingOf('tyre.tread', '1L', { readings: [readingOf('tread', 5, 'outer')] })]),
  );
  const at = (deck: 'bonnet' | 'wheels' | 'under', x: number, y: number) =>
    nearestPoint(deck, { x: x * DRAWING.width, y: y * DRAWING.height }, CAR, points)?.key;
  test('means the nearest point, at a wheel the first that is not seen', () => {
    expect(at('bonnet', 0.1, 0.55)).toBe('belt.aux');
    expect(at('under', 0.24, 0.5)).toBe('leak.engine');
    expect(at('wheels', 0.15, 0.05)).toBe('tyre.tread@1L');
    expect(at('wheels', 0.8, 0.9)).toMatch(/@2R$/);
    expect(nearestPoint('bonnet', { x: 0, y: 0 }, CAR, [])).toBeUndefined();
  });
});
