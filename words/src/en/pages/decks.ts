/** Words of the views in decks. */
export const decks = {
  tapAPlace: (part: string | number | null | undefined) => `${part}: tap a place`,
  nobodyLooked: 'nobody has looked here',
  lookedAllPass: (seen: number) => `${seen} looked at, all pass`,
  sides: (top: string, bottom: string) => `‹ front · ${top} on top, ${bottom} below`,
  andMore: (part: number) => ` and ${part} more`,
  notSeen: (part: string, unseen: number) => `${part}${unseen} not seen`,
  leastTreadOuterInnerPad: (unitOf: string) => `least tread · outer · inner pad, ${unitOf}`,
};
