import { NO_PROOF, type ActContent } from '@weskopos/core';
import { actSchema, operationSchema, storedActSchema } from '../index';

const common = { id: crypto.randomUUID(), inspectionId: crypto.randomUUID(), at: '2026-06-01T08:00:00.000Z' };
const parse = (content: object) => actSchema.safeParse({ ...common, ...content });
const close = (proof: object) => ({ kind: 'close', opens: crypto.randomUUID(), proof: { ...NO_PROOF, ...proof } });

const good: ActContent[] = [
  { kind: 'state', change: 'lift-up' },
  { kind: 'gate', question: 'dry', answer: true },
  { kind: 'gate-override', question: 'dry', reason: 'towed in, known' },
  { kind: 'open', end: 'wheel', place: '2Ro', fasteners: 6 },
  { kind: 'close', opens: crypto.randomUUID(), proof: NO_PROOF },
  { kind: 'fill', opens: crypto.randomUUID(), litres: 0.05 },
  { kind: 'wait', wait: 'settle', lengthS: 600 },
  { kind: 'wait-done', waits: crypto.randomUUID() },
];

test.each(good.map((content) => [content.kind, content] as const))(
  '%s is taken as it is, and with who did it',
  (_, content) => {
    const act = { ...common, ...content };
    expect(actSchema.parse(act)).toEqual(act);
    expect(storedActSchema.parse({ ...act, by: 'Isla' })).toEqual({ ...act, by: 'Isla' });
  },
);

test.each([
  ['a state nobody knows', { kind: 'state', change: 'flying' }],
  ['an override without a reason', { kind: 'gate-override', question: 'oil', reason: '  ' }],
  ['an end nobody knows', { kind: 'open', end: 'door', place: '', fasteners: null }],
  ['no fastener', { kind: 'open', end: 'tray', place: '', fasteners: 0 }],
  ['half a fastener', { kind: 'open', end: 'tray', place: '', fasteners: 1.5 }],
  ['a place that is none', { kind: 'open', end: 'wheel', place: '9Z', fasteners: 5 }],
  ['no litres', { kind: 'fill', opens: crypto.randomUUID(), litres: 0 }],
  ['a lake of litres', { kind: 'fill', opens: crypto.randomUUID(), litres: 201 }],
  ['a wait of no time', { kind: 'wait', wait: 'drain', lengthS: 0 }],
  ['a wait of a week', { kind: 'wait', wait: 'drain', lengthS: 7 * 24 * 3600 }],
  ['a torque of nothing', close({ torqueNm: 0 })],
  ['a torque of a ship', close({ torqueNm: 1001 })],
  ['a level under the pan', close({ level: -0.6 })],
  ['a doubt nobody asked', close({ kept: ['whatever'] })],
  ['something more', { kind: 'state', change: 'lift-up', speed: 3 }],
])('refused: %s', (_, content) => {
  expect(parse(content).success).toBe(false);
});

test('signing over open ends wants words; without them the field is left out', () => {
  const sign = (over?: string) =>
    operationSchema.safeParse({
      id: crypto.randomUUID(),
      at: common.at,
      device: 'd',
      kind: 'inspection.sign',
      body: { inspectionId: crypto.randomUUID(), signedAt: common.at, ...(over === undefined ? {} : { over }) },
    }).success;
  expect([sign(), sign('tray on order'), sign(' ')]).toEqual([true, true, false]);
});
