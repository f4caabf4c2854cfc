/** Words of the views in trend. */
export const trend = {
  looks: 'Looks',
  asLeft: ', as left',
  trend: 'Trend',
  noReadingsOfThisPart: 'No readings of this part are signed yet. A trend begins with the second visit.',
  asADrawing: 'As a drawing',
  asATable: 'As a table',
  date: 'Date',
  reading: 'Reading',
  readings: 'Readings',
  newPart: ', new part',
  misread: 'Misread',
  misreadOnLeaveItOut: (day: string) => `Misread on ${day}: leave it out of the trend`,
  aFilledDotIsWhat: (part: string) => `${part}A filled dot is what it was put to; the line begins anew there.`,
  fromThisPartsOwnReadings:
    'From this part’s own readings, the gauge’s uncertainty, and what such parts wear on the fleet. The band holds 8 of 10; a new route, another driver or a fault moves it. The broad pale line is what its peers wear.',
};
