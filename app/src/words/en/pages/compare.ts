/** Words of the views in compare. */
export const compare = {
  compare: 'Compare',
  isOne: 'is one',
  isNone: 'is none',
  before: 'Before',
  after: 'After',
  chooseTwoDifferentVisits: 'Choose two different visits.',
  two: (before: string, after: string) => `${before}, beside ${after}`,
  others: 'Two others',
  gotWorse: 'Got worse',
  gotBetter: 'Got better',
  nothing: 'Nothing.',
  pointBefore: (pointWords: string) => `${pointWords}, before`,
  pointAfter: (pointWords: string) => `${pointWords}, after`,
  figuresThatMoved: 'Figures that moved',
  point: 'Point',
  twoSignedVisitsAreNeeded: 'Two signed visits are needed to compare; there ',
};
