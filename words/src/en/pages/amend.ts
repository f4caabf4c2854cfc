/** Words of the view that amends a signed visit. */
export const amend = {
  amend: 'Amend a signed visit',
  whichPoint: 'What was signed stays. Choose the point that is to be said otherwise; both are told on the report.',
  find: 'Find a point',
  noneCalledThat: 'No point of this visit is called that.',
  anotherPoint: 'Another point',
  keep: 'Keep this amendment',
  asSigned: (point: string) => `${point}, as signed`,
  why: 'Why it is said otherwise',
  nothingSaidYet: 'Nothing said yet: set what is so, and why.',
  whatIsKept: 'Kept with your name and the time, beside what was signed.',
};
