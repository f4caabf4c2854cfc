/** Words of the views in visit. */
export const visit = {
  carriedFrom: (day: string) => `, carried from ${day}`,
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
    'Give this visit up? It counts nowhere from then on. It is kept, and can be taken up again from the life sheet.',
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
