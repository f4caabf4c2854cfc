import type { MeasureCode, Threshold } from '@weskopos/core';
import { words } from '@weskopos/words/en';
import { figure } from '@weskopos/words/show';
import type { ChartLimit } from './LineChart';

/** Limits as lines of a drawing, each with its grade, figure and basis. */
export function limitLines(thresholds: readonly Threshold[], measure: MeasureCode): ChartLimit[] {
  return thresholds.map(({ grade, value, basis }) => ({
    grade,
    value,
    word: `${grade} ${figure(measure, value)} ${words.basis[basis]}`,
  }));
}
