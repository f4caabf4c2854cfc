import { entryOf } from '../sums/keyed';
import { CATALOGUE, cataloguePoint, isPointCode, mainSlot, type PointCode } from '../catalogue/catalogue';
import { MEASURE_CODES, type MeasureCode } from '../catalogue/measures';
import { SPOTS, type Spot } from '../catalogue/points/point';
import type { Place } from '../vehicle/vehicle';
import { placeSaid, saidPlace, type PlaceGiven } from './placeWords';
import { plainWords } from './rowReader';
import type { ReadingAt } from './sheetKinds';

/** What a point and measure are called in tables; longer names first. */
const CALLED: readonly (readonly [words: string, point: PointCode, measure: MeasureCode])[] = [
  ['coolant freeze point', 'coolant.strength', 'freeze'],
  ['brake fluid boiling point', 'brake.fluid.water', 'boiling'],
  ['brake fluid water', 'brake.fluid.water', 'water'],
  ['brake fluid moisture', 'brake.fluid.water', 'water'],
  ['tyre tread depth', 'tyre.tread', 'tread'],
  ['tire tread depth', 'tyre.tread', 'tread'],
  ['tread depth', 'tyre.tread', 'tread'],
  ['tyre tread', 'tyre.tread', 'tread'],
  ['tire tread', 'tyre.tread', 'tread'],
  ['tread', 'tyre.tread', 'tread'],
  ['profil', 'tyre.tread', 'tread'],
  ['tyre pressure', 'tyre.pressure', 'pressure'],
  ['tire pressure', 'tyre.pressure', 'pressure'],
  ['pressure', 'tyre.pressure', 'pressure'],
  ['luftdruck', 'tyre.pressure', 'pressure'],
  ['inner brake pad', 'pad.inner', 'lining'],
  ['inner pad', 'pad.inner', 'lining'],
  ['pad inner', 'pad.inner', 'lining'],
  ['outer brake pad', 'pad.outer', 'lining'],
  ['outer pad', 'pad.outer', 'lining'],
  ['pad outer', 'pad.outer', 'lining'],
  ['brake pad', 'pad.outer', 'lining'],
  ['brake pads', 'pad.outer', 'lining'],
  ['pads', 'pad.outer', 'lining'],
  ['pad', 'pad.outer', 'lining'],
  ['belag', 'pad.outer', 'lining'],
  ['brake disc', 'disc', 'disc'],
  ['brake rotor', 'disc', 'disc'],
  ['disc thickness', 'disc', 'disc'],
  ['rotor', 'disc', 'disc'],
  ['disc', 'disc', 'disc'],
  ['brake shoe', 'shoe', 'shoe'],
  ['shoe lining', 'shoe', 'shoe'],
  ['brake shoes', 'shoe', 'shoe'],
  ['shoes', 'shoe', 'shoe'],
  ['shoe', 'shoe', 'shoe'],
  ['coolant strength', 'coolant.strength', 'glycol'],
  ['antifreeze', 'coolant.strength', 'glycol'],
  ['glycol', 'coolant.strength', 'glycol'],
  ['charging voltage', 'charge.voltage', 'charge-voltage'],
  ['charge voltage', 'charge.voltage', 'charge-voltage'],
  ['battery voltage', 'battery.rest', 'rest-voltage'],
  ['rest voltage', 'battery.rest', 'rest-voltage'],
  ['battery', 'battery.rest', 'rest-voltage'],
];
const CODES = new Map(CATALOGUE.map(({ code }) => [plainWords(code), code]));

/** A point, and the measure that is meant of it; null where the words are no point's. */
export function pointSaid(text: string): { readonly point: PointCode; readonly measure: MeasureCode | null } | null {
  const written = text.trim();
  const plain = plainWords(written);
  const point = isPointCode(written) ? written : CODES.get(plain);
  if (point) return { point, measure: usualMeasure(point) };
  const called = CALLED.find(([words]) => words === plain);
  return called ? { point: called[1], measure: called[2] } : null;
}

/** The measure that is meant of a point where none is told; null for one that takes none. */
function usualMeasure(code: PointCode): MeasureCode | null {
  const point = cataloguePoint(code);
  return (mainSlot(point) ?? point.measures[0])?.measure ?? null;
}

/** The reading of a point that is meant where only its place is told; null for one that takes none. */
export function usualReading(point: PointCode, place: Place): ReadingAt | null {
  const measure = usualMeasure(point);
  return measure && { point, place, measure, spot: usualSpot(spotsOf(point, measure)) };
}

/** Spots a point's measure is read at; none where the point does not take it. */
export function spotsOf(point: PointCode, measure: MeasureCode): readonly Spot[] {
  return cataloguePoint(point)
    .measures.filter((slot) => slot.measure === measure)
    .flatMap(({ spots }) => spots);
}

const SPOT_WORDS: Readonly<Record<string, Spot>> = {
  outer: 'outer',
  outside: 'outer',
  out: 'outer',
  centre: 'centre',
  center: 'centre',
  middle: 'centre',
  mid: 'centre',
  inner: 'inner',
  inside: 'inner',
  in: 'inner',
};

/** A spot by its code or as people say it; null for none. */
export function spotSaid(text: string): Spot | null {
  const plain = plainWords(text);
  return SPOTS.find((spot) => plainWords(spot) === plain) ?? entryOf<Spot>(SPOT_WORDS, plain) ?? null;
}

/**
 * Where the figures of a column were read, by its heading: `cold.oil:level`, `tyre.tread@1L:outer`, `FL tread outer (mm)`.
 * Null where it does not say. A tread whose place across is not told is taken at its centre, to be seen in the choice.
 */
export function readingSaid(heading: string, given: PlaceGiven): ReadingAt | null {
  return codedReading(heading) ?? spokenReading(plainWords(heading.replace(/[([].*?[)\]]/g, ' ')), given);
}

function codedReading(heading: string): ReadingAt | null {
  const [, code = '', place = '', rest = ''] =
    /^([a-z0-9.-]+)(?:@([1-4](?:[LR][oi]?)?))?((?::[a-z0-9-]+)*)$/.exec(heading.trim()) ?? [];
  if (!isPointCode(code) || (rest === '' && place === '')) return null;
  const parts = rest.split(':').slice(1);
  const measure =
    MEASURE_CODES.find((one) => parts.includes(one) && spotsOf(code, one).length > 0) ?? usualMeasure(code);
  if (measure === null) return null;
  const spots = spotsOf(code, measure);
  const spot = spots.find((one) => parts.includes(one)) ?? usualSpot(spots);
  return { point: code, place: place as Place, measure, spot };
}

function spokenReading(plain: string, given: PlaceGiven): ReadingAt | null {
  const padded = ` ${plain} `;
  const called = CALLED.find(([words]) => padded.includes(` ${words} `));
  if (!called) return null;
  const [words, point, measure] = called;
  const { repeats } = cataloguePoint(point);
  const left = padded
    .replace(` ${words} `, ' ')
    .replace(/ (mm|bar|psi|kpa|in|32nds|v) /g, ' ')
    .trim()
    .split(/\s+/);
  const spots = spotsOf(point, measure);
  // The last word for a spot is one: on twins the one before tells which of them.
  const at =
    spots.length > 1
      ? left.findLastIndex((word) => spots.some((spot) => spot === entryOf<Spot>(SPOT_WORDS, word)))
      : -1;
  const rest = left.filter((_, index) => index !== at).join(' ');
  const spot = at < 0 ? usualSpot(spots) : (entryOf<Spot>(SPOT_WORDS, left[at] ?? '') ?? usualSpot(spots));
  if (repeats === null) return rest === '' ? { point, place: '', measure, spot } : null;
  // One word of a place too few is not a place: the column is asked about.
  if (saidPlace(rest, given) === null) return null;
  const place = placeSaid(rest, repeats, given);
  return place === null ? null : { point, place, measure, spot };
}

const usualSpot = (spots: readonly Spot[]): Spot => (spots.includes('centre') ? 'centre' : (spots[0] ?? 'whole'));
