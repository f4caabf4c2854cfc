/** Words of the views in fleet. */
export const fleet = {
  visitsDue: 'Visits due',
  weekOf: (format: string) => `Week of ${format}`,
  tooMany: (length: number) => `${length}: too many`,
  withoutAPaceYetA: (unknown: number) => `${unknown} without a pace yet: a second visit gives one.`,
  workedOutHere: (vehicles: number) =>
    `The workshop does not answer. Worked out on this device, from the ${vehicles} vehicles it knows and what waits here.`,
  partsToExpect: 'Parts to expect',
  partsToExpectByMonth: 'Parts to expect by month',
  expectedNumberAndItsSpread: 'Expected number and its spread. What is due already stands in the first month.',
  allParts: 'All parts',
  tyres: 'Tyres',
  pads: 'Pads',
  other: 'Other',
  nothingYetBuiltInWear: 'nothing yet: built-in wear',
  learned: (part: string) => `Learned ${part}`,
  show: 'Show',
  classOf: 'Of',
  allVehicles: 'All vehicles',
  nothingToForecastYet: 'Nothing to forecast yet',
  aPartIsOnThe: 'A part is on the board from its first signed reading on.',
  soonestLimitOfTheLaw: 'Soonest limit of the law',
  unlikeTheirPeers: 'Unlike their peers',
  wearsTimesAsFast: (fleetCode: string, pointShort: string, part: string) =>
    `${fleetCode}, ${pointShort}: wears ${part} times as fast`,
  changeNow: (fleetCode: string, part: string, part2: string, part3: string, worse: string) =>
    `${fleetCode}: ${part}, ${part2}: ${part3} now. ${worse}`,
  ofUnknownSize: 'of unknown size',
  axleSet: (kind: string) => `${kind}, axle set`,
  howTheyStand: 'How they stand',
  nothingUnsettled: 'Nothing is unsettled on any of them.',
};
