import { ARRIVAL_POINTS } from './points/arrival';
import { BONNET_POINTS } from './points/bonnet';
import { CABIN_POINTS } from './points/cabin';
import { CLOSING_POINTS } from './points/closing';
import { COLD_POINTS } from './points/cold';
import { PLANT_POINTS } from './points/plant';
import { ownPoints } from './points/own';
import type { CataloguePoint, MeasureSlot } from './points/point';
import { UNDER_POINTS } from './points/under';
import { WALK_ROUND_POINTS } from './points/walkRound';
import { WHEEL_POINTS } from './points/wheel';
import { VOCABULARIES, type Word } from './words';

/** Version of the built-in catalogue; an inspection keeps the one it was made under. */
export const CATALOGUE_VERSION = 3;

/** Every point there is, in the order of the work. */
export const CATALOGUE = [
  ...ARRIVAL_POINTS,
  ...COLD_POINTS,
  ...CABIN_POINTS,
  ...ownPoints('cabin'),
  ...WALK_ROUND_POINTS,
  ...ownPoints('walk'),
  ...BONNET_POINTS,
  ...ownPoints('bonnet'),
  ...WHEEL_POINTS,
  ...ownPoints('wheel'),
  ...UNDER_POINTS,
  ...ownPoints('under'),
  ...PLANT_POINTS,
  ...ownPoints('plant'),
  ...CLOSING_POINTS,
  ...ownPoints('closing'),
];

/** A point of the catalogue, by its code. */
export type PointCode = (typeof CATALOGUE)[number]['code'];
export const POINT_CODES: readonly PointCode[] = CATALOGUE.map((point) => point.code);

const byCode = new Map<string, CataloguePoint>(CATALOGUE.map((point) => [point.code, point]));

/** The catalogue's entry for a code. Throws on a code it does not hold: check with {@link isPointCode} first. */
export function cataloguePoint(code: PointCode): CataloguePoint {
  const point = byCode.get(code);
  if (!point) throw new RangeError(`no catalogue point "${code}"`);
  return point;
}

/** Whether a text is the code of a point of today's catalogue. */
export function isPointCode(code: string): code is PointCode {
  return byCode.has(code);
}

/** A point at one place of one vehicle: `tyre.tread@1L`, or the bare code where it does not repeat. */
export function pointKey(code: string, place: string): string {
  return place === '' ? code : `${code}@${place}`;
}

/** The measure that stands for the point: the first that is wanted; null where nothing must be measured. */
export function mainSlot(point: CataloguePoint): MeasureSlot | null {
  return point.measures.find(({ need }) => need !== 'extra') ?? null;
}

/** The words that are offered at a point; none where it takes none. */
export function wordsOffered({ vocabulary, leavesOut }: CataloguePoint): readonly Word[] {
  const words: readonly Word[] = vocabulary ? VOCABULARIES[vocabulary] : [];
  return words.filter((word) => !leavesOut.includes(word));
}

/** Whether eye and hand are enough: nothing to measure, count or read off. Only these can be said to be sound in one stroke. */
export function soundByEye(point: CataloguePoint): boolean {
  const figuresOnly = point.measures.length > 0 && point.vocabulary === null;
  return mainSlot(point) === null && !figuresOnly && !point.leakWanted && point.counted === null && !point.codes;
}
