/** Words of the views in visit. */
export const visit = {
  carriedFrom: (day: string) => `, carried from ${day}`,
  gradeBetween: (grade: string, lowest: string | null, highest: string | null) =>
    lowest === null
      ? highest === null
        ? grade
        : `${grade} up to ${highest}`
      : highest === null
        ? `${grade} from ${lowest}`
        : `${grade} ${lowest} to ${highest}`,
  betweenMarks: (amount: string) => `${amount} between the marks`,
  socket: (socket: string) => `socket ${socket}`,
  renewed: 'new ones each time',
  stickSpan: (amount: string) => `Oil stick · ${amount} between the marks`,
  nipples: (count: number) => `${count} ${count === 1 ? 'nipple' : 'nipples'}`,
  everyHours: (hours: number) => `every ${hours} h`,
  studs: (count: number) => `${count} studs a wheel`,
  filterFits: (told: string) => `Oil filter · ${told}`,
  dashCode: (code: string, means: string) => `Dash ${code} · ${means}`,
  keyCodePlace: (place: string) => `Emergency key code · ${place}`,
  specSheetEmpty: 'The spec sheet is empty. It is filled in at the vehicle.',
  shouldNotBeDriven: (names: string) =>
    `It should not be driven: ${names}. Local law and a licensed tester have the last word.`,
  boltsDone: 'Torqued again, crosswise',
  boltsDoneOf: (fleetCode: string) => `Wheel bolts of ${fleetCode}: torqued again, crosswise`,
  foundAndLeft: (found: string, left: string) => `found ${found}, left ${left}`,
  dry: 'Dry',
  noCodes: 'No codes',
  allThere: (part: number) => `All ${part} there`,
  noPlay: 'No play',
  standsAs: (grade: string) => `Stands as ${grade.toLowerCase()}`,
  fail: (count: number) => `${count} fail`,
  advisory: (count: number) => `${count} advisory`,
  nothingOpen: 'nothing open',
  unknownAge: (job: string) => `${job.toLowerCase()}: age not known`,
  looked: (seen: number, of: number, day: string) => `${seen} of ${of} looked at on ${day}`,
  seenOn: (day: string) => `Seen ${day}.`,
  giveUp: 'Give this visit up',
  giveUpAsked:
    'Give this visit up? It counts nowhere from then on. It is kept, and can be taken up again from the vehicle’s life.',
  whyGivenUp: 'Why, where it helps the next one',
  yesGiveUp: 'Yes, give it up',
  voidIt: 'Void this visit',
  voidAsked:
    'Void a signed visit? It is kept with your name and why, and counts nowhere: not in grades, trends or due dates.',
  whyVoid: 'Why it is void',
  yesVoid: 'Yes, void it',
  keepVisit: 'Keep the visit',
  givenUp: (by: string, when: string, of: string, inspector: string) =>
    `The visit of ${of} by ${inspector} was given up by ${by}, ${when}. It counts nowhere.`,
  takeUpAgain: 'Let it count again',
  correctArrival: 'Correct the arrival',
};
