/** Words of the keypad. */
export const pad = {
  keys: 'Keys for figures',
  erase: 'Erase the last figure',
  keyboard: 'The device’s own keyboard, as for dictation',
  next: '›',
  nextHint: 'Next place',
  done: 'Done',
  doneHint: 'Done with figures',
  less: (step: string) => `−${step}`,
  more: (step: string) => `+${step}`,
  lessOf: (label: string, step: string) => `${label}: less by ${step}`,
  moreOf: (label: string, step: string) => `${label}: more by ${step}`,
  typeIt: '123',
  typeItHint: 'Type the figure',
  other: 'Photo, words and the rest',
  key: {
    nextFigure: 'Next figure of the line',
    over: 'Over',
    under: 'At most',
    minus: 'Minus',
    fraction: 'Fraction',
  },
};
