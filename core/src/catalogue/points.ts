import type { LeakPlace } from './leaks';
import type { MeasureCode } from './measures';
import type { Vocabulary } from './words';

export const STATIONS = ['arrival', 'cold', 'bonnet', 'wheel', 'under'] as const;
export type Station = (typeof STATIONS)[number];

export type Spot = 'whole' | 'outer' | 'centre' | 'inner';

/** How a point is looked at: the walk draws one control per kind. */
export type PointKind = 'arrival' | 'measure' | 'words' | 'leak';

export interface CataloguePoint {
  readonly code: string;
  readonly station: Station;
  readonly kind: PointKind;
  readonly measure: MeasureCode | null;
  /** Places on the part where the measure is read, outside first. */
  readonly spots: readonly Spot[];
  readonly vocabulary: Vocabulary | null;
  readonly leakPlaces: readonly LeakPlace[];
  /** Repeats per tyre, per hub, or not at all. */
  readonly repeats: 'tyre' | 'hub' | null;
  /** Points of one step are shown together, e.g. the two pads of a brake. */
  readonly step: string;
  /** Where it lies on the drawn deck: x 0 front to 1 rear, y 0 left to 1 right of that deck. */
  readonly deck: { readonly name: 'bonnet' | 'wheels' | 'under'; readonly x: number; readonly y: number } | null;
}

const once = { spots: ['whole'], vocabulary: null, leakPlaces: [], repeats: null, measure: null } as const;

/** Version of the built-in catalogue; an inspection keeps the one it was made under. */
export const CATALOGUE_VERSION = 1;

/** The first 14 points over four stations and the arrival, in the order of the walk. */
export const CATALOGUE = [
  { ...once, code: 'arrival.meter', station: 'arrival', kind: 'arrival', step: 'arrival', deck: null },
  { ...once, code: 'arrival.complaint', station: 'arrival', kind: 'arrival', step: 'arrival', deck: null },
  {
    ...once,
    code: 'cold.oil',
    station: 'cold',
    kind: 'measure',
    measure: 'level',
    step: 'cold.oil',
    deck: { name: 'bonnet', x: 0.3, y: 0.36 },
  },
  {
    ...once,
    code: 'cold.coolant',
    station: 'cold',
    kind: 'measure',
    measure: 'level',
    step: 'cold.coolant',
    deck: { name: 'bonnet', x: 0.17, y: 0.8 },
  },
  {
    ...once,
    code: 'cold.belts',
    station: 'cold',
    kind: 'words',
    vocabulary: 'belt',
    step: 'cold.belts',
    deck: { name: 'bonnet', x: 0.1, y: 0.38 },
  },
  {
    ...once,
    code: 'cold.pool',
    station: 'cold',
    kind: 'leak',
    leakPlaces: ['under-engine', 'under-gearbox', 'under-radiator', 'at-wheel', 'under-tank'],
    step: 'cold.pool',
    deck: { name: 'under', x: 0.06, y: 0.78 },
  },
  {
    ...once,
    code: 'brake.fluid.water',
    station: 'bonnet',
    kind: 'measure',
    measure: 'water',
    step: 'brake.fluid.water',
    deck: { name: 'bonnet', x: 0.4, y: 0.82 },
  },
  {
    ...once,
    code: 'belt.aux',
    station: 'bonnet',
    kind: 'words',
    vocabulary: 'belt',
    step: 'belt.aux',
    deck: { name: 'bonnet', x: 0.1, y: 0.56 },
  },
  {
    ...once,
    code: 'hose.coolant.top',
    station: 'bonnet',
    kind: 'words',
    vocabulary: 'hose',
    step: 'hose.coolant.top',
    deck: { name: 'bonnet', x: 0.17, y: 0.2 },
  },
  {
    ...once,
    code: 'tyre.tread',
    station: 'wheel',
    kind: 'measure',
    measure: 'tread',
    spots: ['outer', 'centre', 'inner'],
    vocabulary: 'tyre',
    repeats: 'tyre',
    step: 'tyre.tread',
    deck: { name: 'wheels', x: 0, y: 0 },
  },
  {
    ...once,
    code: 'tyre.pressure',
    station: 'wheel',
    kind: 'measure',
    measure: 'pressure',
    vocabulary: 'valve',
    repeats: 'tyre',
    step: 'tyre.pressure',
    deck: { name: 'wheels', x: 0, y: 0 },
  },
  {
    ...once,
    code: 'pad.outer',
    station: 'wheel',
    kind: 'measure',
    measure: 'lining',
    vocabulary: 'brake',
    repeats: 'hub',
    step: 'pads',
    deck: { name: 'wheels', x: 0, y: 0 },
  },
  {
    ...once,
    code: 'pad.inner',
    station: 'wheel',
    kind: 'measure',
    measure: 'lining',
    vocabulary: 'brake',
    repeats: 'hub',
    step: 'pads',
    deck: { name: 'wheels', x: 0, y: 0 },
  },
  {
    ...once,
    code: 'leak.engine',
    station: 'under',
    kind: 'leak',
    leakPlaces: [
      'sump-joint',
      'drain-plug',
      'filter-seat',
      'rear-crank-seal',
      'front-cover',
      'rocker-cover',
      'cooler-joint',
      'bell-housing',
    ],
    step: 'leak.engine',
    deck: { name: 'under', x: 0.24, y: 0.5 },
  },
] as const satisfies readonly CataloguePoint[];

export type PointCode = (typeof CATALOGUE)[number]['code'];
export const POINT_CODES = CATALOGUE.map((point) => point.code);

const byCode = new Map<string, CataloguePoint>(CATALOGUE.map((point) => [point.code, point]));

/** The catalogue's entry for a code. Throws on a code it does not hold: check with {@link isPointCode} first. */
export function cataloguePoint(code: PointCode): CataloguePoint {
  const point = byCode.get(code);
  if (!point) throw new RangeError(`no catalogue point "${code}"`);
  return point;
}

export function isPointCode(code: string): code is PointCode {
  return byCode.has(code);
}

/** A point at one place of one vehicle: `tyre.tread@1L`, or the bare code where it does not repeat. */
export function pointKey(code: string, place: string): string {
  return place === '' ? code : `${code}@${place}`;
}
