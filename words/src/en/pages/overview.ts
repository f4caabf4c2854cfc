/** Words of the views in overview. */
export const overview = {
  seenTwice: 'Seen twice',
  thisOne: 'This one',
  keepWhatSaw: (by: string, name: string) => `Keep what ${by} saw: ${name}`,
  overview: 'Overview',
  seeTheReport: 'See the report',
  notYet: 'Not yet',
  signWithNotSeen: (unseen: number) => `Sign with ${unseen} not seen`,
  soFar: 'so far',
  stillOpen: (length: number) => `Still open: ${length}`,
  aVisitIsNotSigned: 'A visit is not signed while something is open. Close it first, or ask a lead.',
  whyItIsSignedOver: 'Why it is signed over',
  toTheLooseEnds: 'To the loose ends',
  bySystem: 'By system',
  notSeen: (part: number) => `, ${part} not seen`,
  fail: (fail: number) => `${fail} fail`,
  advisory: (advisory: number) => `${advisory} advisory`,
  pass: (pass: number) => `${pass} pass`,
  recorded: (recorded: number) => `${recorded} recorded`,
  everyPointWasSeen: 'Every point was seen.',
  pointsNotSeen: (unseen: number) => `${unseen} not seen.`,
  twoEntriesAreKeptThe: (name: string) => `${name}: two entries are kept; the newer one counts until one is chosen.`,
  leadMaySignOver:
    'A visit is not signed while something is open. As a lead you may sign over it; why is printed on the report.',
  pointsWereNotSeenThe: (unseen: number) =>
    `${unseen} points were not seen. The report will name them; they count as not seen, not as pass. Sign again to go ahead, or tap one to look at it.`,
};
