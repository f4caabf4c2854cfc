import { cataloguePoint } from '../catalogue/catalogue';
import type { GradedPoint } from '../grading/verdict';

/** The floors of a vehicle's drawing, from above. */
export const DECKS = ['bonnet', 'wheels', 'under'] as const;
export type DeckName = (typeof DECKS)[number];

/** Whether a point is drawn on a floor. */
export const isOnDeck = (deck: DeckName, { point }: Pick<GradedPoint, 'point'>): boolean =>
  cataloguePoint(point).deck?.name === deck;
