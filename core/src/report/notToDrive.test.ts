import { CAR, contextOf, findingOf, leakOf } from '../tests/builders';
import { gradedPoints } from '../grading/verdict';
import type { Finding } from '../inspection/finding';
import { notToDrive } from './notToDrive';

const told = (...findings: readonly Finding[]) =>
  notToDrive(gradedPoints(contextOf(CAR, findings))).map(({ key }) => key);

test.each<[string, Finding, readonly string[]]>([
  ['a cord that shows', findingOf('tyre.wall', '1L', { words: ['cord-visible'] }), ['tyre.wall@1L']],
  ['a pedal that sinks', findingOf('cabin.pedal', '', { words: ['sinks'] }), ['cabin.pedal']],
  ['a broken spring', findingOf('spring', '2R', { words: ['end-broken'] }), ['spring@2R']],
  ['fuel that drips', findingOf('leak.fuel', '', { leaks: [leakOf({ fluid: 'fuel', stage: 'drip' })] }), ['leak.fuel']],
  [
    'fuel seen with the bonnet up',
    findingOf('leak.bonnet', '', { leaks: [leakOf({ fluid: 'fuel', stage: 'damp' })] }),
    ['leak.bonnet'],
  ],
  ['milky oil', findingOf('oil.condition', '', { words: ['milky'] }), []],
  ['a wiper that is torn', findingOf('walk.wipers', '', { words: ['rubber-torn'] }), []],
  ['a spare that failed', findingOf('walk.spare', '', { words: ['cord-visible'] }), []],
])('%s', (_, finding, keys) => expect(told(finding)).toEqual(keys));
