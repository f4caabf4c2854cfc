/** Words of the views in decks. */
export const decks = {
  tapAPlace: (part: string | number | null | undefined) => `${part}: tap a place`,
  nobodyLooked: 'nobody has looked here',
  lookedAllPass: (seen: number) => `${seen} looked at, all pass`,
  andMore: (part: number) => ` and ${part} more`,
  notSeen: (part: string, unseen: number) => `${part}${unseen} not seen`,
  leastTreadOuterInnerPad: (unitOf: string) => `least tread · outer · inner pad, ${unitOf}`,
};
