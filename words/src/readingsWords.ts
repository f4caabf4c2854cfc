import { cataloguePoint, readingAt, readingValue, type GradedPoint } from '@weskopos/core';
import { figure, unitOf } from './show';

/** What was read at a point, spot by spot, with its unit: `> 3.0 · 4.1 · 3.9 mm`; empty where nothing was. */
export function readingsWords({ point, finding }: Pick<GradedPoint, 'point' | 'finding'>): string {
  const slot = cataloguePoint(point).measures.find(({ measure, spots }) =>
    spots.some((spot) => readingAt(finding, measure, spot)),
  );
  if (!slot) return '';
  const values = slot.spots.flatMap((spot) => {
    const reading = readingAt(finding, slot.measure, spot);
    return reading ? [`${BOUND_SIGN[reading.bound]}${figure(slot.measure, readingValue(reading))}`] : [];
  });
  return `${values.join(' · ')} ${unitOf(slot.measure)}`.trim();
}

const BOUND_SIGN = { exact: '', over: '> ', under: '≤ ' } as const;
