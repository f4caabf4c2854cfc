import fc from 'fast-check';
import { VOCABULARIES, type Word } from '../catalogue/words';
import { CAR, contextOf, findingOf } from '../tests/builders';
import { gradePoint } from './gradePoint';

const graded = (point: 'oil.condition' | 'axle.oil.condition' | 'coolant.condition', words: readonly Word[]) =>
  gradePoint({ point, place: '' }, contextOf(CAR, [findingOf(point, '', { words })]));

describe('metal in what was drained', () => {
  test.each<[string, readonly Word[], string]>([
    ['nothing was asked yet', ['glitter-fine'], 'not-seen'],
    ['only the pan was asked about', ['glitter-flakes', 'pan-clean'], 'not-seen'],
    ['the pan was not clean', ['glitter-flakes', 'pan-not-clean', 'run-long'], 'advisory'],
    ['fine, at the first change', ['glitter-fine', 'pan-clean', 'fresh-engine'], 'recorded'],
    ['flakes at the first change', ['glitter-flakes', 'pan-clean', 'fresh-engine'], 'advisory'],
    ['fine, from a clean pan and an engine that ran long', ['glitter-fine', 'pan-clean', 'run-long'], 'advisory'],
    ['flakes, from a clean pan and an engine that ran long', ['glitter-flakes', 'pan-clean', 'run-long'], 'fail'],
    ['milky beside it weighs for itself', ['glitter-fine', 'milky'], 'fail'],
  ])('%s', (_, words, grade) => expect(graded('oil.condition', words).grade).toBe(grade));

  test('where nothing is caught in a pan it weighs at once', () => {
    expect(graded('coolant.condition', ['glitter-fine']).grade).toBe('advisory');
  });

  test('never passes before both questions are answered, whatever else was seen (5,000 drawn)', () => {
    fc.assert(
      fc.property(fc.subarray([...VOCABULARIES.fluid]), (words) => {
        const { grade, reasons } = graded('axle.oil.condition', words);
        const glitters = words.includes('glitter-fine') || words.includes('glitter-flakes');
        const answered =
          (words.includes('pan-clean') || words.includes('pan-not-clean')) &&
          (words.includes('fresh-engine') || words.includes('run-long'));
        if (glitters) expect(grade).not.toBe('pass');
        expect(reasons.some((reason) => reason.rule === 'glitter' && reason.why === 'asked')).toBe(
          glitters && !answered,
        );
      }),
      { numRuns: 5000 },
    );
  });
});

describe('codes that were cleared and read again', () => {
  const read = (state: 'stored' | 'returned', code = 'P0101') => ({ code, text: '', state });
  const grade = (again: readonly { code: string }[] | null) => {
    const arrival = findingOf('cabin.codes', '', { codes: [read('stored')] });
    const closing = again && findingOf('close.codes', '', { codes: again.map(({ code }) => read('returned', code)) });
    return gradePoint({ point: 'cabin.codes', place: '' }, contextOf(CAR, closing ? [arrival, closing] : [arrival]));
  };
  test.each([
    ['not read again yet', null, 'advisory'],
    ['it did not come back', [], 'recorded'],
    ['another came', [{ code: 'P0300' }], 'recorded'],
    ['it came back', [{ code: 'P0101' }], 'advisory'],
  ])('%s', (_, again, expected) => expect(grade(again).grade).toBe(expected));
});

test('a bulb that was changed is found failing and corrected; one that was not stays out', () => {
  const lamps = (good: number, found: number | null) =>
    gradePoint(
      { point: 'walk.lamps', place: '' },
      contextOf(CAR, [findingOf('walk.lamps', '', { counts: [{ item: 'brake', good, of: 2, found, out: [] }] })]),
    );
  expect(lamps(2, 1)).toMatchObject({ grade: 'pass', asFound: 'fail', corrected: true });
  expect(lamps(2, null)).toMatchObject({ grade: 'pass', asFound: 'pass', corrected: false });
  expect(lamps(1, 0)).toMatchObject({ grade: 'fail', asFound: 'fail', corrected: false });
});
