import type { Fit } from '../../vehicle/fits';
import type { LeakPlace } from '../leaks';
import type { MeasureCode } from '../measures';
import type { Vocabulary, Word } from '../words';

export const STATIONS = ['arrival', 'cold', 'cabin', 'walk', 'bonnet', 'wheel', 'under', 'plant', 'closing'] as const;
export type Station = (typeof STATIONS)[number];

/** What a point belongs to; a verdict is rolled up by these. */
export const SYSTEMS = [
  'tyres',
  'brakes',
  'steering',
  'suspension',
  'engine',
  'cooling',
  'fuel',
  'transmission',
  'electrics',
  'lamps',
  'body',
  'exhaust',
  'equipment',
] as const;
export type System = (typeof SYSTEMS)[number];

/** Where on a part a measure is read, outside first. */
export const SPOTS = ['whole', 'outer', 'centre', 'inner', '12-6', '3-9', 'front', 'rear', 'left', 'right'] as const;
/** Where on the whole vehicle something is found. */
export const SIDES = ['front', 'rear', 'left', 'right'] as const satisfies readonly Spot[];
/** Where on a part a reading is taken. */
export type Spot = (typeof SPOTS)[number];

/**
 * One measure of a point.
 * - `each`: without it the point is not seen
 * - `one`: of these at least one is wanted, whichever gauge is at hand
 * - `extra`: kept when given
 */
export interface MeasureSlot {
  readonly measure: MeasureCode;
  readonly spots: readonly Spot[];
  readonly need: 'each' | 'one' | 'extra';
}

/** States a reading is true in; the route is planned by them. */
export const NEEDS = [
  'never-started-today',
  'off-cold',
  'off-rested',
  'off-warm',
  'off-settled',
  'key-on',
  'running',
  'running-hot',
  'tray-off',
  'wheel-hanging',
  'wheel-off',
  'helper',
  'ground',
] as const;
/** A state of the vehicle that a reading is true in. */
export type Need = (typeof NEEDS)[number];

/** What can hurt at this point; shown there. */
export const CAUTIONS = [
  'key-out',
  'hot-cooling',
  'hot-oil',
  'brake-dust',
  'fuel-pressure',
  'spring-load',
  'air-bag',
  'high-voltage',
  'stands',
  'oil-skin',
  'bolts-again',
  'collect',
  'moving-parts',
] as const;
/** What can hurt at a point. */
export type Caution = (typeof CAUTIONS)[number];

/** One point that can be inspected: where, what is measured, and in what state. */
export interface CataloguePoint {
  readonly code: string;
  readonly station: Station;
  readonly system: System;
  readonly measures: readonly MeasureSlot[];
  readonly vocabulary: Vocabulary | null;
  /** Words of its vocabulary that make no sense of this part: not offered, still taken where somebody said one. */
  readonly leavesOut: readonly Word[];
  /** Takes leak observations at these places. */
  readonly leakPlaces: readonly LeakPlace[];
  /** A leak point: without an observation it is not seen. Else leaks are an extra. */
  readonly leakWanted: boolean;
  /** Counted as n of N: lamp by lamp, or as one number. */
  readonly counted: 'lamps' | 'all' | null;
  /** Fault codes are read here. */
  readonly codes: boolean;
  /** What a level is read on; null where none is. */
  readonly vessel: 'stick' | 'bottle' | null;
  /** A level whose way of reading is told. */
  readonly howRead: boolean;
  /** Kept free for the workshop, which names it itself. */
  readonly own: boolean;
  /** Renewed on both sides of an axle together. */
  readonly paired: boolean;
  /** Repeats per tyre, per hub, per axle, or not at all. */
  readonly repeats: 'tyre' | 'hub' | 'axle' | null;
  /** What the vehicle or the axle must have for the point to exist. */
  readonly fits: readonly Fit[];
  readonly needs: readonly Need[];
  readonly cautions: readonly Caution[];
  /** Points of one step are shown together, e.g. the two pads of a brake with the disc between. */
  readonly step: string;
  /** Where it lies on the drawn deck: x 0 front to 1 rear, y 0 left to 1 right of that deck. */
  readonly deck: { readonly name: 'bonnet' | 'wheels' | 'under'; readonly x: number; readonly y: number } | null;
}

type Given = Partial<Omit<CataloguePoint, 'code' | 'station' | 'system' | 'measures'>> & {
  readonly measures?: readonly (MeasureSlot | MeasureCode)[];
};

/** A measure read once, wanted. */
const wanted = (measure: MeasureCode): MeasureSlot => ({ measure, spots: ['whole'], need: 'each' });
export const oneOf = (...measures: readonly MeasureCode[]): MeasureSlot[] =>
  measures.map((measure) => ({ measure, spots: ['whole'], need: 'one' }));
export const extra = (...measures: readonly MeasureCode[]): MeasureSlot[] =>
  measures.map((measure) => ({ measure, spots: ['whole'], need: 'extra' }));
/** Kept where on the vehicle it was found; without a place where nobody told one. */
export const bySide = (measure: MeasureCode): MeasureSlot[] => [{ measure, spots: ['whole', ...SIDES], need: 'extra' }];
export const at = (measure: MeasureCode, ...spots: readonly Spot[]): MeasureSlot => ({ measure, spots, need: 'each' });

/** What is wrong with a part that touches nothing which moves. */
export const notRubbed = { vocabulary: 'general', leavesOut: ['chafed'] } as const satisfies Given;
/** What is wrong with a part that no work takes off, and that touches nothing which moves. */
export const builtIn = { vocabulary: 'general', leavesOut: ['chafed', 'not-refitted'] } as const satisfies Given;

/** Makes the points of one station. A measure given by its code alone is read once and wanted. */
export function stationPoints(station: Station) {
  return <const Code extends string>(
    code: Code,
    system: System,
    { measures = [], ...given }: Given = {},
  ): CataloguePoint & { readonly code: Code } => ({
    code,
    station,
    system,
    measures: measures.map((slot) => (typeof slot === 'string' ? wanted(slot) : slot)),
    vessel: measures.includes('level') ? 'bottle' : null,
    vocabulary: null,
    leavesOut: [],
    leakPlaces: [],
    leakWanted: false,
    counted: null,
    codes: false,
    howRead: false,
    own: false,
    paired: false,
    repeats: null,
    fits: [],
    needs: [],
    cautions: [],
    step: code,
    deck: null,
    ...given,
  });
}

/** A place on one of the three decks. */
export const onBonnet = (x: number, y: number) => ({ deck: { name: 'bonnet', x, y } }) as const;
export const onUnder = (x: number, y: number) => ({ deck: { name: 'under', x, y } }) as const;
export const onWheels = (x = 0, y = 0) => ({ deck: { name: 'wheels', x, y } }) as const;
