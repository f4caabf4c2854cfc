/** Words of the views in typing. */
export const typing = {
  levelRange: ', 0 min to 1 max',
  takeAs: (figure: number, unit: string) => `It is ${figure} ${unit}`,
  allowedRange: (round: string, round2: string, part: string) => `${round} to ${round2}${part}`,
  fourDigitsWeekAndYear: 'Four digits, week and year, e.g. 0523; three before 2000.',
};
