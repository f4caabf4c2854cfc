import type { MeasureCode } from '../catalogue/measures';
import type { PointCode } from '../catalogue/catalogue';
import type { Spot } from '../catalogue/points/point';
import { readingValue, type Reading } from './finding';
import type { PointRef } from './pointRef';
import type { Place } from '../vehicle/vehicle';

/** A wear reading that passes today, and how likely it is under its fail limit before the vehicle comes again. */
export interface AheadNote {
  readonly point: PointCode;
  readonly place: Place;
  readonly measure: MeasureCode;
  readonly spot: Spot;
  /** What was read, and the fail limit it was held against, stored unit. */
  readonly value: number;
  readonly limit: number;
  /** 0 to 1. */
  readonly chance: number;
  /** When it would come again if it goes on as it did. */
  readonly nextVisit: string;
}

/** Looks ahead from one reading of today, repeats and all; null where nothing can be told: no limit, no pace of visits, no meter. */
export type LookAhead = (
  ref: PointRef,
  reading: Pick<Reading, 'measure' | 'spot' | 'values' | 'step'>,
) => AheadNote | null;

/** Looks up what went on record when a visit was signed. */
export function aheadOnRecord(notes: readonly AheadNote[]): LookAhead {
  return (ref, reading) =>
    notes.find(
      (note) =>
        note.point === ref.point &&
        note.place === ref.place &&
        note.measure === reading.measure &&
        note.spot === reading.spot &&
        note.value === readingValue(reading),
    ) ?? null;
}
