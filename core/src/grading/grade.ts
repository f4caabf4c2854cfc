/**
 * `not-seen`: not looked at, or no reading where one is needed. `recorded`: looked at, but no limit to judge by.
 * Neither is ever a pass.
 */
export const GRADES = ['pass', 'recorded', 'not-seen', 'advisory', 'fail'] as const;
/** What a point comes to. */
export type Grade = (typeof GRADES)[number];

/** The worse of two, in the order pass < recorded < not seen < advisory < fail. */
export function worseGrade(a: Grade, b: Grade): Grade {
  return GRADES.indexOf(a) >= GRADES.indexOf(b) ? a : b;
}

/** The worst of several; `not-seen` of none, since nothing looked at is never a pass. */
export function worstGrade(grades: readonly Grade[]): Grade {
  const [first, ...rest] = grades;
  return first === undefined ? 'not-seen' : rest.reduce(worseGrade, first);
}

/** Whether a grade says that something is wrong. */
export const isWrong = (grade: Grade): boolean => grade === 'advisory' || grade === 'fail';
