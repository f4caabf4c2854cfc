import type { Finding, FindingChange, MeasureCode, Phase, Reading, Spot } from '@weskopos/core';

interface Slot {
  readonly measure: MeasureCode;
  readonly spot: Spot;
  readonly phase: Phase;
}

/** The readings with one value set; `again` adds it as a repeat instead. */
export function withReading(readings: readonly Reading[], slot: Slot, value: number, again = false): Reading[] {
  const isSlot = (reading: Reading) => reading.spot === slot.spot && reading.phase === slot.phase;
  const before = readings.find(isSlot);
  const values = again && before ? [...before.values, value] : [value];
  return [...readings.filter((reading) => !isSlot(reading)), { ...slot, values }];
}

/** A reading means the point was looked at, unless it was already said that only part could be seen. */
export function readingChange(standing: Finding | undefined, slot: Slot, value: number, again = false): FindingChange {
  const partly = standing?.access === 'partly';
  return {
    readings: withReading(standing?.readings ?? [], slot, value, again),
    access: partly ? 'partly' : 'seen',
    ...(partly ? {} : { accessReason: null }),
  };
}

/** Words ticked on or off. The last one off is not the same as sound: the point is open again unless something was measured. */
export function wordChange<W extends Finding['words'][number]>(standing: Finding | undefined, word: W): FindingChange {
  const before = standing?.words ?? [];
  const words = before.includes(word) ? before.filter((one) => one !== word) : [...before, word];
  const judged = words.length > 0 || (standing?.readings.length ?? 0) > 0;
  if (standing?.access === 'partly') return { words };
  return { words, access: judged ? 'seen' : 'open', accessReason: null };
}
