/** Words of the views in visit. */
export const visit = {
  carriedFrom: (day: string) => `, carried from ${day}`,
  dry: 'Dry',
  noCodes: 'No codes',
  allThere: (part: number) => `All ${part} there`,
  noPlay: 'No play',
};
