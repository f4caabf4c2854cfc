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
  looked: (seen: number, of: number, day: string) => `${seen} of ${of} looked at on ${day}`,
  seenOn: (day: string) => `Seen ${day}.`,
};
