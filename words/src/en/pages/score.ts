/** Words of the views in score. */
export const score = {
  forecastsJudgedByWhatCame: 'Forecasts, judged by what came',
  nothingHasComeTrueYet: 'Nothing has come true yet',
  readingsOfOneThing: 'Readings of one thing',
  noSecondReadingsYetThey:
    'No second readings yet: they are taken at close calls, and tell how well gauge and hand repeat.',
  twoPersonsOneThing: 'Two persons, one thing',
  whereTwoHoldAStick:
    'Where two hold a stick or a gauge differently, agree on one way. This is no ranking: neither is known to be right.',
  afterWhoseVisits: 'After whose visits',
  halfWithinDays: (part: number) => `, half within ${part} days`,
  haveComeTrueWithinThe: (name: string, arrived: number, percent: string, part: string) =>
    `${name}: ${arrived} have come true, ${percent} within the 8-in-10 range${part}.`,
  twoReadingsAgreeWithinTimes: (part: string, spread: string, pairs: number, within: string) =>
    `${part}: two readings agree within ±${spread} (${pairs} times read twice). Graded as if within ${within}.`,
  gradeAsWithin: (within: string) => `Grade as within ${within}`,
  haveComeTrueWaitWere: (arrived: number, waiting: number, replaced: number) =>
    `${arrived} have come true, ${waiting} wait, ${replaced} were replaced before their limit.`,
  datesHeld: 'dates fell within the 8-in-10 range',
  andOfTheDates: (percent: string) => `, and ${percent} of the dates`,
  distancesHeld: (part: string) => `distances fell within the 8-in-10 range${part}`,
  theRangesWereTooNarrow: 'The ranges were too narrow.',
  theRangesWereWiderThan: 'The ranges were wider than they had to be.',
  promised: '8 in 10',
  heldSpoken: (name: string, held: string, parts: number, between: readonly string[], promised: string) =>
    `${name}: ${held} of the ranges of ${parts} ${parts === 1 ? 'part' : 'parts'} held, surely between ${between.join(' and ')}; ${promised} are promised`,
  byUse: 'By what vehicles are used for',
  heldOfParts: (held: string, parts: number) => `${held} held, ${parts} ${parts === 1 ? 'part' : 'parts'}`,
  partsCountOnce:
    'Forecasts of one part hold and fail together, so each part counts once. The pale bar is how sure it is.',
  useNotTold: 'Use not told',
  fitsWhatIsPromised: (parts: number) => `Of ${parts} ${parts === 1 ? 'part' : 'parts'}: fits 8 in 10.`,
  ofThe: (part: string, part2: string) => `of the ${part}. ${part2}`,
  days: (part: number) => `${part} days`,
  halfOfThemWereWithin: (part: string) => `Half of them were within ${part}.`,
  less: (percent: string) => `${percent} less`,
  more: (percent: string) => `${percent} more`,
  lostThanByCompared: (part: string, part2: string, count: number) =>
    `${part} lost than by ${part2} (${count} compared).`,
  rangesAreToldWider: (percent: number, isWider: boolean, scored: number) =>
    `Ranges are told ${percent} % ${isWider ? 'wider' : 'narrower'} than the model has them, by how ${scored} later readings fell: proven on vehicles it was not learned from.`,
  rangesStandAsTheModelHas: 'Ranges stand as the model has them: nothing else has proven better on later readings.',
  forecastsAreOnRecordEach: (forecasts: number) =>
    `${forecasts} forecasts are on record. Each is judged when its part is read under the limit; until then it waits.`,
  readsThanOnAverageSingle: (
    part: string,
    first: string,
    spread: string,
    part2: string,
    second: string,
    spread2: string,
    pairs: number,
  ) =>
    `${part}: ${first} reads ${spread} ${part2} than ${second} on average; single readings lie within ±${spread2} of that (${pairs} read by both).`,
};
