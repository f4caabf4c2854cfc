/** Words of the views in decks. */
export const decks = {
  tapAPlace: (part: string | number | null | undefined) => `${part}: tap a place`,
  andMore: (part: number) => ` and ${part} more`,
  notSeen: (part: string, unseen: number) => `${part}${unseen} not seen`,
  leastTreadOuterInnerPad: (unitOf: string) => `least tread · outer · inner pad, ${unitOf}`,
};
