import { gaugeStep } from './gauges';
import type { Bound, Finding, FindingChange, MeasureCode, Phase, Reading, Spot } from '@weskopos/core';

/** Which reading of a point: what is measured, where, and whether as found or as left. */
export interface Slot {
  readonly measure: MeasureCode;
  readonly spot: Spot;
  readonly phase: Phase;
}

/** How a value becomes a reading. */
export interface ReadingOptions {
  /** Adds the value as a repeat instead of replacing what was read. */
  readonly again?: boolean;
  readonly bound?: Bound;
  /** Step of the gauge; left out: of the one in hand. */
  readonly step?: number | null;
}

const isOf = (slot: Slot) => (reading: Reading) =>
  reading.measure === slot.measure && reading.spot === slot.spot && reading.phase === slot.phase;

/** The readings with one value set. */
export function withReading(
  readings: readonly Reading[],
  slot: Slot,
  value: number,
  { again = false, bound = 'exact', step = bound === 'exact' ? gaugeStep(slot.measure) : null }: ReadingOptions = {},
): Reading[] {
  const isSlot = isOf(slot);
  const before = readings.find(isSlot);
  const values = again && before ? [...before.values, value] : [value];
  return [...readings.filter((reading) => !isSlot(reading)), { ...slot, values, bound, step }];
}

/** A look means the point was seen, unless it was already said that only part could be; a carried look gives way to it. */
export function lookChange(standing: Finding | undefined, change: FindingChange): FindingChange {
  const partly = standing?.access === 'partly';
  return {
    access: partly ? 'partly' : 'seen',
    ...(partly ? {} : { accessReason: null }),
    carried: null,
    inOneStroke: false,
    ...change,
  };
}

/** What an entry becomes by one reading set or taken away. */
export function readingChange(
  standing: Finding | undefined,
  slot: Slot,
  value: number,
  options: ReadingOptions = {},
): FindingChange {
  return lookChange(standing, { readings: withReading(standing?.readings ?? [], slot, value, options) });
}

/** Words ticked on or off. The last one off is not the same as sound: the point is open again unless something else was seen. */
export function wordChange<W extends Finding['words'][number]>(standing: Finding | undefined, word: W): FindingChange {
  const before = standing?.words ?? [];
  return stillSeen(standing, {
    words: before.includes(word) ? before.filter((one) => one !== word) : [...before, word],
  });
}

/** A reading taken away again: where nothing else was told the point is as open as before. */
export function clearedChange(standing: Finding | undefined, slot: Slot): FindingChange {
  return stillSeen(standing, { readings: (standing?.readings ?? []).filter((reading) => !isOf(slot)(reading)) });
}

/** A change that takes something away: seen only as long as anything is told. */
function stillSeen(standing: Finding | undefined, change: FindingChange): FindingChange {
  if (standing?.access === 'partly') return change;
  const { words, readings, leaks, counts, codes } = { ...standing, ...change };
  const isTold = [words, readings, leaks, counts, codes].some((list) => (list?.length ?? 0) > 0);
  return { ...lookChange(standing, change), access: isTold ? 'seen' : 'open' };
}
