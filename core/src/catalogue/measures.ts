import { typedKeys } from '../sums/keyed';
import type { Unit } from '../units/units';

/** One quantity an inspector reads, with what is possible, what is likely, how fine the usual gauge is, and its tape. */
export interface Measure {
  /** Stored unit. */
  readonly unit: Unit;
  /** Impossible outside [least, most]; refused. Stored unit. */
  readonly least: number;
  readonly most: number;
  /** Outside this a reading is doubtful: asked once, kept. Null where everything possible is likely. */
  readonly likely: readonly [number, number] | null;
  /** Usual gauge step and repeatability (one standard deviation), stored unit; both 0 for a named scale. */
  readonly step: number;
  readonly repeatability: number;
  /** Ends of the drawn tape, stored unit. */
  readonly tape: readonly [number, number];
  /** `wear` only ever gets worse on one part; `state` goes both ways; `label` is read off, not measured. */
  readonly nature: 'wear' | 'state' | 'label';
  /** How it is taken: on a tape, as a typed figure, or as one of named steps (stored 0, 1, 2 …). */
  readonly taken: 'tape' | 'figure' | readonly string[];
}

type Given = Pick<Measure, 'unit' | 'least' | 'most' | 'step' | 'repeatability'> & Partial<Measure>;

function measure(given: Given): Measure {
  return { likely: null, tape: [given.least, given.most], nature: 'state', taken: 'figure', ...given };
}

function named(...steps: readonly string[]): Measure {
  return measure({ unit: 'step', least: 0, most: steps.length - 1, step: 0, repeatability: 0, taken: steps });
}

const LINING = { unit: 'mm', least: 0, most: 30, likely: [0, 22], step: 0.5, repeatability: 0.2 } as const;
const MONTHS = { unit: 'months', least: 0, most: 600, likely: [0, 180], step: 1, repeatability: 0 } as const;

export const MEASURES = {
  tread: measure({
    unit: 'mm',
    least: 0,
    most: 25,
    likely: [0, 18],
    step: 0.1,
    repeatability: 0.1,
    tape: [0, 10],
    nature: 'wear',
    taken: 'tape',
  }),
  lining: measure({ ...LINING, tape: [0, 14], nature: 'wear', taken: 'tape' }),
  shoe: measure({ ...LINING, tape: [0, 10], nature: 'wear', taken: 'tape' }),
  disc: measure({
    unit: 'mm',
    least: 1,
    most: 60,
    likely: [4, 50],
    step: 0.1,
    repeatability: 0.05,
    tape: [5, 35],
    nature: 'wear',
  }),
  'disc-lip': measure({ unit: 'mm', least: 0, most: 10, likely: [0, 5], step: 0.1, repeatability: 0.1 }),
  'disc-runout': measure({ unit: 'mm', least: 0, most: 3, likely: [0, 1], step: 0.01, repeatability: 0.01 }),
  drum: measure({ unit: 'mm', least: 80, most: 600, likely: [140, 450], step: 0.1, repeatability: 0.1 }),
  pressure: measure({
    unit: 'kPa',
    least: 0,
    most: 1200,
    likely: [80, 950],
    step: 2,
    repeatability: 2,
    tape: [100, 500],
    taken: 'tape',
  }),
  /** Week of making as year × 100 + ISO week; see `parseWeekCode`. */
  'tyre-age': measure({ unit: 'yyyyww', least: 195001, most: 209953, step: 0, repeatability: 0, nature: 'label' }),
  level: measure({
    unit: 'level',
    least: -0.5,
    most: 2,
    step: 0.05,
    repeatability: 0.03,
    tape: [-0.25, 1.5],
    taken: 'tape',
  }),
  glycol: measure({
    unit: '%',
    least: 0,
    most: 100,
    likely: [0, 80],
    step: 1,
    repeatability: 1,
    tape: [0, 80],
    taken: 'tape',
  }),
  freeze: measure({
    unit: '°C',
    least: -80,
    most: 10,
    likely: [-60, 0],
    step: 1,
    repeatability: 1,
    tape: [-60, 0],
    taken: 'tape',
  }),
  water: measure({
    unit: '%',
    least: 0,
    most: 20,
    likely: [0, 8],
    step: 0.5,
    repeatability: 0.2,
    tape: [0, 5],
    taken: 'tape',
  }),
  'water-band': named('low', 'middle', 'high'),
  boiling: measure({
    unit: '°C',
    least: 60,
    most: 400,
    likely: [90, 300],
    step: 1,
    repeatability: 3,
    tape: [100, 280],
    taken: 'tape',
  }),
  'rest-voltage': measure({
    unit: 'V',
    least: 0,
    most: 60,
    likely: [8, 30],
    step: 0.01,
    repeatability: 0.02,
    tape: [11, 14],
    taken: 'tape',
  }),
  'charge-voltage': measure({
    unit: 'V',
    least: 0,
    most: 60,
    likely: [10, 32],
    step: 0.01,
    repeatability: 0.05,
    tape: [11, 16],
    taken: 'tape',
  }),
  crank: measure({
    unit: 'A',
    least: 0,
    most: 3000,
    likely: [80, 1600],
    step: 5,
    repeatability: 15,
    tape: [0, 1200],
    taken: 'tape',
  }),
  play: named('none', 'just-felt', 'clear'),
  /** Level at an open fill plug: it just drips over the edge, runs out, is felt below with a finger, or is not felt. */
  hole: named('at-edge', 'runs-out', 'felt-below', 'not-felt'),
  /** Longest way across a crack, a chip or a patch of rust. */
  extent: measure({ unit: 'mm', least: 0, most: 5000, likely: [1, 2000], step: 1, repeatability: 2 }),
  'play-angle': measure({ unit: '°', least: 0, most: 180, likely: [0, 60], step: 1, repeatability: 1 }),
  travel: measure({ unit: 'mm', least: 0, most: 400, likely: [0, 200], step: 1, repeatability: 1 }),
  clicks: measure({ unit: 'clicks', least: 0, most: 40, likely: [1, 20], step: 1, repeatability: 0.3 }),
  torque: measure({ unit: 'N·m', least: 0, most: 2000, likely: [3, 900], step: 1, repeatability: 2 }),
  temperature: measure({ unit: '°C', least: -60, most: 900, likely: [-40, 350], step: 1, repeatability: 1 }),
  seconds: measure({ unit: 's', least: 0, most: 3600, likely: [0, 120], step: 1, repeatability: 0.3 }),
  'part-age': measure(MONTHS),
  'age-distance': measure({ unit: 'km', least: 0, most: 1_000_000, likely: [0, 400_000], step: 1, repeatability: 0 }),
  hours: measure({ unit: 'h', least: 0, most: 100_000, likely: [0, 20_000], step: 1, repeatability: 0 }),
  'service-left': measure({
    unit: 'km',
    least: -100_000,
    most: 100_000,
    likely: [-30_000, 60_000],
    step: 1,
    repeatability: 0,
  }),
  volume: measure({ unit: 'L', least: 0, most: 400, likely: [0, 60], step: 0.1, repeatability: 0.05 }),
} as const satisfies Record<string, Measure>;

export type MeasureCode = keyof typeof MEASURES;
export const MEASURE_CODES = typedKeys(MEASURES);

/** The names of a measure's steps, null for one that is a figure. */
export function namedSteps(code: MeasureCode): readonly string[] | null {
  const { taken } = MEASURES[code];
  return typeof taken === 'string' ? null : taken;
}
