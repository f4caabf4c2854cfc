import type { Visit } from '@weskopos/contract';
import type { Grade, Vehicle } from '@weskopos/core';
import type { NextDue } from '@weskopos/core/jobs/stickerOf';
import { dueWords } from './dueWords';
import { day, meterWords } from './show';
import { told } from './tongue';

/** A code holds some 300 letters that a phone still reads from paper; of what falls due the soonest are told. */
const MOST_DUES = 4;

/** What a visit comes to, for the verdict's line. */
export interface CodedVerdict {
  readonly grade: Grade;
  readonly counts: Readonly<Record<Grade, number>>;
}

/**
 * A visit as plain text, for whoever holds the paper and has no network: which vehicle, when, at which meter, how it
 * stands, what falls due, and the hash it was signed by.
 */
export function visitCode(
  { fleetCode, plate, meterUnit }: Pick<Vehicle, 'fleetCode' | 'plate' | 'meterUnit'>,
  { inspection, seal }: Pick<Visit, 'inspection' | 'seal'>,
  { grade, counts }: CodedVerdict,
  dues: readonly NextDue[],
): string {
  return [
    [fleetCode, plate].filter(Boolean).join(' · '),
    `${day(inspection.startedAt)}, ${meterWords(inspection.meter, meterUnit)}`,
    told.paper.codeVerdict(told.grade[grade], counts.fail, counts.advisory, counts.pass, counts['not-seen']),
    ...dues.slice(0, MOST_DUES).map((due) => dueWords(due, meterUnit)),
    ...(seal ? [told.paper.hash(seal.hash)] : []),
  ].join('\n');
}
