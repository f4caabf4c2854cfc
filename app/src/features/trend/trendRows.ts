import { MEASURES, type Series, type StateTrend, type Vehicle } from '@weskopos/core';
import type { DrawingRows } from '../../kit/Saveable';

/** The readings of a trend as a table, oldest first, in stored units. */
export const trendRows = ({ readings, measure }: Series, { meterUnit }: Pick<Vehicle, 'meterUnit'>): DrawingRows => [
  ['at', 'meter', 'meterUnit', 'value', 'unit', 'uncertainty', 'startsPart'],
  ...readings.map(({ at, meter, value, u, startsPart }) => [
    at,
    meter,
    meterUnit,
    value,
    MEASURES[measure].unit,
    u,
    startsPart ? 'yes' : 'no',
  ]),
];

/** The looks of a state as a table, oldest first, in stored units. */
export const stateRows = ({ readings }: StateTrend): DrawingRows => [
  ['at', 'phase', 'value'],
  ...readings.map(({ at, phase, value }) => [at, phase, value]),
];
