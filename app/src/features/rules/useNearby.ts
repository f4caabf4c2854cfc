import { MEASURES, readingValue, type LimitRow, type MeasureCode } from '@weskopos/core';
import { useEffect, useState } from 'react';
import { lifeOnce } from '../../sync/workshop';
import { useYard } from '../yard/useYard';

/** Near is within so many standard deviations of a gauge of the limit. */
const NEAR = 2;

/** How many of the readings lie near a limit's edges; limits on anything but the reading itself are not counted. */
export function nearbyOf(row: LimitRow, values: ReadonlyMap<MeasureCode, readonly number[]>): number | null {
  if (row.kind !== 'value') return null;
  const reach = NEAR * MEASURES[row.measure].repeatability;
  const read = values.get(row.measure) ?? [];
  return read.filter((value) => row.thresholds.some((edge) => Math.abs(edge.value - value) <= reach)).length;
}

/** How many of this workshop's readings lie near each limit; null while they are being counted, a vehicle at a time. */
export function useNearby(rows: readonly LimitRow[]): readonly (number | null)[] | null {
  const entries = useYard();
  const [values, setValues] = useState<ReadonlyMap<MeasureCode, readonly number[]> | null>(null);
  useEffect(() => {
    let left = false;
    const count = async () => {
      const all = new Map<MeasureCode, number[]>();
      for (const { vehicle } of entries) {
        await new Promise((resolve) => setTimeout(resolve));
        if (left) return;
        const life = await lifeOnce(vehicle.id);
        for (const reading of life?.visits.flatMap(({ findings }) => findings.flatMap(({ readings }) => readings)) ??
          [])
          if (reading.bound === 'exact') {
            const known = all.get(reading.measure) ?? [];
            known.push(readingValue(reading));
            all.set(reading.measure, known);
          }
      }
      if (!left) setValues(all);
    };
    void count();
    return () => {
      left = true;
    };
  }, [entries]);
  return values && rows.map((row) => nearbyOf(row, values));
}
