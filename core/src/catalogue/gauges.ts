import type { MeasureCode } from './measures';

/**
 * Gauges a workshop may have for a measure, by their step in the stored unit; the first is the usual one. A card that is
 * read to half a millimetre leaves more in doubt than a digital gauge, and is judged so.
 */
export const GAUGE_STEPS: Readonly<Partial<Record<MeasureCode, readonly number[]>>> = {
  tread: [0.1, 0.5, 1],
  lining: [0.5, 0.1, 1],
  shoe: [0.5, 0.1, 1],
  disc: [0.1, 0.01, 0.5],
  pressure: [2, 1, 5, 10],
  glycol: [1, 5],
  freeze: [1, 5],
};
