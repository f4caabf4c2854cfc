/** Words of the views in kit. */
export const kit = {
  noReadingYet: 'no reading yet',
  atkinson: 'Atkinson',
  barlow: 'Barlow',
};
