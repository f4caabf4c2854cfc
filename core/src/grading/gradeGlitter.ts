import type { PointCode } from '../catalogue/catalogue';
import { ENGINE_ANSWERS, GLITTER, PAN_ANSWERS, type Word } from '../catalogue/words';
import { oneOf } from '../sums/keyed';
import type { WordGrade } from '../limits/limitSheet';
import type { Reason } from './reason';

/** Where a fluid is caught to be looked at: a dirty pan glitters too, and so does what runs in. */
const CAUGHT_IN_A_PAN: readonly PointCode[] = ['oil.condition', 'axle.oil.condition', 'trans.condition'];

/** Whether metal seen at a point is graded only after the two questions of where it may come from. */
export function asksOfGlitter(point: PointCode, words: readonly Word[]): boolean {
  return CAUGHT_IN_A_PAN.includes(point) && words.some((word) => oneOf(GLITTER, word));
}

/**
 * Metal in a drained fluid. Not graded before it was asked whether the pan was clean and whether it is the first change
 * of a new or rebuilt one. From a pan that was not clean it is looked for again; fine glitter of running in is kept and
 * looked for at the next change; else it weighs what the sheet says.
 *
 * @param plain what the sheet says of the word
 */
export function gradeGlitter(word: (typeof GLITTER)[number], words: readonly Word[], plain: WordGrade): Reason {
  const has = (one: Word) => words.includes(one);
  const reason = (grade: Reason['grade'], why: 'asked' | 'pan' | 'running-in' | 'metal'): Reason => ({
    rule: 'glitter',
    grade,
    word,
    why,
    basis: 'house',
  });
  if (!PAN_ANSWERS.some(has) || !ENGINE_ANSWERS.some(has)) return reason('not-seen', 'asked');
  if (has('pan-not-clean')) return reason('advisory', 'pan');
  if (has('fresh-engine')) return reason(word === 'glitter-fine' ? 'recorded' : 'advisory', 'running-in');
  return reason(plain, 'metal');
}
