/** Words of the views in arrival. */
export const arrival = {
  itsCornersAsItCame: 'Its corners, as it came',
  photographACorner: 'Photograph a corner',
  another: 'Another',
  takeTheLastOneOut: 'Take the last one out',
  allPointsCanBeRead: (now: number) => `All ${now} points can be read true in their turn.`,
  pointsFor: (points: number, part: string) => `${points} for ${part}`,
  pointsCanBeReadIn: (now: number, part: string) =>
    `${now} points can be read in their turn. Others must wait: ${part}.`,
  picturesAreTheMostHere: (MOST: number) => `${MOST} pictures are the most here; more go to their points.`,
};
