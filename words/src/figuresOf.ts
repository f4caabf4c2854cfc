import { SPOTS, readingValue, type GradedPoint } from '@weskopos/core';
import { amount } from './show';

/** What was read at a point, as found, from the outside in whatever order it was read. */
export function figuresOf(point: Pick<GradedPoint, 'finding'> | undefined): string {
  return (point?.finding?.readings ?? [])
    .filter(({ phase, bound }) => phase === 'found' && bound === 'exact')
    .sort((a, b) => SPOTS.indexOf(a.spot) - SPOTS.indexOf(b.spot))
    .map((reading) => amount(reading.measure, readingValue(reading)))
    .join(' / ');
}
