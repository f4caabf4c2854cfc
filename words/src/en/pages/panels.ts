/** Words of the views in panels. */
export const panels = {
  notReachedBecause: 'Not reached, because',
  onlyPartlySeenBecause: 'Only partly seen, because',
  carryTheLookOf: (day: string) => `Carry the look of ${day}`,
  anotherWheel: 'This was of another wheel…',
  wasOf: 'It was of (the two change places)',
  clearPoint: 'Clear this point',
  nothingIsLeftHereThat: 'Nothing is left here that eye and hand alone could say is sound.',
  theRestOfThisStation: (length: number) => `The rest of this station is sound… (${length})`,
  lookedAtAndSoundWhat: (part: string) => `Looked at and sound: ${part}. What wants a measure stays open.`,
  yesTheseAreSound: (length: number) => `Yes, these ${length} are sound`,
  aLimitOfTheLaw: 'A limit of the law has failed: only a workshop lead may grade it otherwise.',
  gradeByHandComputed: (part: string) => `Grade by hand (computed ${part})`,
  whyItIsGradedOtherwise: 'Why it is graded otherwise',
  keepThisGrade: 'Keep this grade',
  backToTheComputedOne: 'Back to the computed one',
};
