import { USUAL_HOUSE_RULES } from '../house/houseRules';
import { lowBrakeFluidAdvice } from './lowBrakeFluid';

const worn = [
  { mm: 9, newMm: 12 },
  { mm: 3, newMm: 12 },
];
const sound = [
  { mm: 9, newMm: 12 },
  { mm: 7, newMm: null },
];

test.each([
  ['not low', 0.25, worn, 'leave', null],
  ['low, nobody knows the linings', 0.1, [], 'leave', 'look-at-linings'],
  ['low with sound linings', 0.1, sound, 'leave', 'find-leak'],
  ['low with worn linings, left', 0.1, worn, 'leave', 'leave'],
  ['low with worn linings, topped up', 0.1, worn, 'top-up', 'top-up'],
  ['under the mark with worn linings, left', -0.1, worn, 'leave', 'to-lower-mark'],
  ['under the mark with sound linings, topped up', -0.1, sound, 'top-up', 'find-leak'],
  ['a thin one nobody knows the new value of', 0.1, [{ mm: 5, newMm: null }], 'leave', 'leave'],
] as const)('%s', (_, level, linings, lowBrakeFluid, advice) => {
  expect(lowBrakeFluidAdvice(level, linings, { ...USUAL_HOUSE_RULES, lowBrakeFluid })).toBe(advice);
});
