/** Words of the views in kit. */
export const kit = {
  noReadingYet: 'no reading yet',
  atkinson: 'Atkinson',
  barlow: 'Barlow',
  svg: 'SVG',
  png: 'PNG',
  csv: 'CSV',
  saveAs: (name: string, kind: string) => `Save ${name} as ${kind}`,
};
