/** Words of the drawn help. */
export const help = {
  whatTheyLookLike: 'What they look like',
  whatDoTheyLookLike: 'What do these words look like?',
  close: 'Close',
  theMakerSaysMore: 'Drawings show the kind, not the limit: the maker and local codes say what still passes.',
};
