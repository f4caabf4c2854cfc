import { BLANK_SPEC, PLAIN_FLUID, spanAt } from '@weskopos/core';
import { levelWords } from './levelWords';

test.each<[number, number | null, string]>([
  [1, 1.2, 'at the top mark'],
  [0.97, 1.2, 'at the top mark'],
  [0.5, 1.2, '0.60 L under the top mark'],
  [0.3, 1, '0.70 L under the top mark'],
  [0, 1.2, 'at the lower mark'],
  [-0.5, 1, '0.50 L under the lower mark'],
  [1.25, 1.2, '0.30 L over the top mark'],
  [0.5, null, 'between the marks'],
  [0.1, null, 'just over the lower mark'],
  [-0.1, null, 'just under the lower mark'],
  [-0.4, null, 'far under the lower mark'],
  [0.9, null, 'near the top mark'],
  [1.2, null, 'over the top mark'],
])('%d of a span of %p L is %s', (level, span, said) => {
  expect(levelWords(level, span)).toBe(said);
});

test('the stick’s span is the oil’s, wherever it is read; a bottle has that of its fluid, where the sheet tells one', () => {
  const fluids = [{ ...PLAIN_FLUID, fluid: 'coolant', spanL: 1.1 } as const];
  const spec = { ...BLANK_SPEC, stickSpanL: 1.2, fluids };
  const at = ['cold.oil', 'close.level', 'cold.coolant', 'brake.fluid.level'] as const;
  expect(at.map((point) => spanAt(point, spec))).toEqual([1.2, 1.2, 1.1, null]);
});
