import { MEASURES } from '../catalogue/measures';
import type { Series } from './series';

/** Whether a series wears down to an end; a spare has tread and does not wear. */
export const runsOut = ({ measure, point }: Pick<Series, 'measure' | 'point'>): boolean =>
  MEASURES[measure].nature === 'wear' && point !== 'walk.spare';
