import { cataloguePoint, type PointCode } from '@weskopos/core';
import { usualReading } from '@weskopos/core/sheets/pointWords';
import type { ReadingAt } from '@weskopos/core/sheets/sheetKinds';

/** Points whose figures tables have a column for. */
export const COLUMN_POINTS = [
  'tyre.tread',
  'tyre.pressure',
  'pad.outer',
  'pad.inner',
  'shoe',
  'disc',
  'coolant.strength',
  'brake.fluid.water',
  'battery.rest',
  'charge.voltage',
] as const satisfies readonly PointCode[];

const HUBS = ['1L', '1R', '2L', '2R', '3L', '3R'] as const;
const TYRES = [...HUBS, '2Lo', '2Li', '2Ro', '2Ri'] as const;

/** Places such a point can be at. */
export const placesOf = (point: PointCode): readonly ReadingAt['place'][] =>
  ({ tyre: TYRES, hub: HUBS, axle: ['1', '2', '3'] as const, none: [''] as const })[
    cataloguePoint(point).repeats ?? 'none'
  ];

/** The reading of a point that is meant first: its own measure, at its first place. */
export const readingAt = (point: (typeof COLUMN_POINTS)[number]): ReadingAt | null =>
  usualReading(point, placesOf(point)[0] ?? '');
