import type { VisitLine } from '@weskopos/contract';
import { MEASURES, standingOf, type Vehicle } from '@weskopos/core';
import Papa from 'papaparse';

const COLUMNS = [
  'vehicle',
  'fleetCode',
  'visit',
  'startedAt',
  'signedAt',
  'meter',
  'meterUnit',
  'point',
  'place',
  'measure',
  'spot',
  'phase',
  'bound',
  'n',
  'value',
  'unit',
  'gaugeStep',
  'readAt',
  'readBy',
] as const;

/** Spreadsheets run what begins like a formula: such a text gets an apostrophe before it. */
const asCsv = (rows: readonly (readonly unknown[])[]) =>
  rows.length === 0 ? '' : `${Papa.unparse(rows as unknown[][], { escapeFormulae: true, newline: '\r\n' })}\r\n`;

/** The first row: UTF-8, commas, decimal points, every figure in the unit it is kept in. */
export const READINGS_HEAD = asCsv([COLUMNS]);

/** Every reading that stands in a visit, one row each. */
export function readingRows(vehicle: Vehicle, { inspection, findings }: VisitLine): string {
  return asCsv(
    [...standingOf(findings).values()].flatMap(({ point, place, readings, at, by }) =>
      readings.flatMap(({ measure, spot, phase, values, bound, step }) =>
        values.map((value, n) => [
          vehicle.id,
          vehicle.fleetCode,
          inspection.id,
          inspection.startedAt,
          inspection.signedAt ?? '',
          inspection.meter,
          vehicle.meterUnit,
          point,
          place,
          measure,
          spot,
          phase,
          bound,
          n + 1,
          value,
          MEASURES[measure].unit,
          step ?? '',
          at,
          by,
        ]),
      ),
    ),
  );
}
