/** Words of the views in life. */
export const life = {
  watchedSpots: 'Watched spots',
  dueNext: 'Due next',
  whatWasIt: 'What was it?',
  andMore: (part: number) => `And ${part} more.`,
  betweenAnd: (day: string, day2: string) => `between ${day} and ${day2}`,
  placeToPlace: (placeWords: string, placeWords2: string) => `${placeWords} to ${placeWords2}`,
  theTyresDepthsChangedPlaces: (dates: string, part: string) => `The tyres’ depths changed places ${dates}: ${part}.`,
  yesRotated: 'Yes, rotated',
  allTyresAreBetter: (dates: string) => `Every tyre has more tread than the one before, ${dates}.`,
  otherSetIsOn: 'The other set is on',
  allNew: 'All new',
  changeSets: 'Change tyre sets',
  setsChanged: 'Other set on',
  whatIsOnGoesInto:
    'What is on goes into store, each tyre under the name of its wheel; what is kept from there comes on and goes on wearing from where it was.',
  nothingKnownOfOtherSet:
    'Of the other set nothing is on record: it is followed from the next look on. If it is new, write that down below afterwards.',
  inStore: (count: number, day: string) => `In store since ${day}: the ${count} tyres that were on before`,
  torqueAfterSets:
    'Check size and direction of travel, torque the bolts on the ground to the maker’s figure, and again after 50 to 100 km; set the pressures.',
  then: (part: string, placeWords: string, amount: string, amount2: string, dates: string) =>
    `${part}, ${placeWords}: ${amount}, then ${amount2}, ${dates}.`,
  aNewPart: (part: string, placeWords: string) => `${part}, ${placeWords}: a new part`,
  wasMisread: (day: string) => `${day} was misread`,
  beginAVisitTheFirst: 'Begin a visit: the first one gives grades, from the second one on there are trends.',
  nextVisitAboutIfIt: (day: string) => `Next visit about ${day} if it goes on as it did.`,
  beforeTheNextVisit: (part: number) => `: ${part} % before the next visit`,
  visits: 'Visits',
  compareTwo: 'Compare two',
  usesLPer100Km: (part: string, meterWords: string) =>
    `Uses ${part} L per 100 km, full to full over the last ${meterWords}.`,
  oilUsedSinceThe: {
    stick: (amount: string) =>
      `Engine oil used since the last change: ${amount} in 1,000 km, by the stick and what was put in.`,
    'top-ups': (amount: string) => `Engine oil topped up since the last change: ${amount} in 1,000 km.`,
  },
  takeBack: 'Take back',
  takeBackEntry: (entrySentence: string) => `Take back: ${entrySentence}`,
  writeDownFuelATop: 'Write down fuel, a top-up, a part …',
  onIt: (meterWords: string) => `, ${meterWords} on it`,
  newOn: (day: string, gone: string) => `new ${day}${gone}`,
  thatCameWithIt: 'that came with it',
  ofTheOtherSet: 'of the other set',
  hereSince: (day: string) => `, here since ${day}`,
  parts: 'Parts',
  byTheHouseRule: (part: string) => `By the house rule: ${part}.`,
  arrowOnTheWall: 'Arrow for the direction of travel on the tyres',
  arrowYes: 'Arrow: they keep their side',
  arrowNo: 'No arrow',
  byTheHouseRuleA: 'By the house rule a rotation gains nothing now.',
  howEntered: 'How',
  asPlanned: 'As planned',
  frontToRear: 'Front to rear',
  leftToRight: 'Left to right',
  torqueTheBoltsOnThe: '. Torque the bolts on the ground, and again after 50 to 100 km.',
  leaveIt: 'Leave it',
  fluidsBatteryPressures: 'Fluids, battery, pressures',
  theseGotBetterBetweenTwo:
    'These got better between two visits and nobody wrote down why. Trends begin anew there; with an answer they know since when.',
  nothingOnRecordOfWhen:
    'Nothing on record of when tyres and brakes were fitted. Write a new one down below; its forecast starts from there.',
};
