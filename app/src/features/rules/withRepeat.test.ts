import { BUILT_IN_RULEBOOK } from '@weskopos/core';
import { withRepeat } from './withRepeat';

test('a repeatability is taken over into a draft of the rules', () => {
  expect(withRepeat(BUILT_IN_RULEBOOK, 'tread:0.14').house.repeatability).toEqual({ tread: 0.14 });
});

test.each([undefined, '', 'tread', 'tread:', 'tread:-1', 'nothing:0.2', 'tread:much'])(
  '%j changes nothing',
  (repeat) => {
    expect(withRepeat(BUILT_IN_RULEBOOK, repeat)).toBe(BUILT_IN_RULEBOOK);
  },
);
