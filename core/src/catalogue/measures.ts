import type { Unit } from '../units/units';

/** One quantity an inspector reads, with what is possible, how fine the usual gauge is, and its tape. */
export interface Measure {
  /** Stored unit. */
  readonly unit: Unit;
  /** Impossible outside [least, most]; refused. Stored unit. */
  readonly least: number;
  readonly most: number;
  /** Usual gauge step and repeatability (one standard deviation), stored unit. */
  readonly step: number;
  readonly repeatability: number;
  /** Ends of the drawn tape, stored unit. */
  readonly tape: readonly [number, number];
  /** `wear` only ever gets worse on one part; `state` goes both ways. */
  readonly nature: 'wear' | 'state';
}

export const MEASURES = {
  tread: { unit: 'mm', least: 0, most: 25, step: 0.1, repeatability: 0.1, tape: [0, 10], nature: 'wear' },
  lining: { unit: 'mm', least: 0, most: 30, step: 0.5, repeatability: 0.2, tape: [0, 14], nature: 'wear' },
  pressure: { unit: 'kPa', least: 0, most: 1200, step: 2, repeatability: 2, tape: [100, 500], nature: 'state' },
  level: { unit: 'level', least: -0.5, most: 2, step: 0.05, repeatability: 0.03, tape: [-0.25, 1.5], nature: 'state' },
  water: { unit: '%', least: 0, most: 20, step: 0.5, repeatability: 0.2, tape: [0, 5], nature: 'state' },
} as const satisfies Record<string, Measure>;

export type MeasureCode = keyof typeof MEASURES;
export const MEASURE_CODES = Object.keys(MEASURES) as MeasureCode[];
