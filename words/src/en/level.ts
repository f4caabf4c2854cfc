/** Where a level stands between its marks. */
export const level = {
  atTop: 'at the top mark',
  atLower: 'at the lower mark',
  overTop: (litres: string) => `${litres} over the top mark`,
  underTop: (litres: string) => `${litres} under the top mark`,
  underLower: (litres: string) => `${litres} under the lower mark`,
  over: 'over the top mark',
  nearTop: 'near the top mark',
  between: 'between the marks',
  justOver: 'just over the lower mark',
  justUnder: 'just under the lower mark',
  farUnder: 'far under the lower mark',
};
