import type { SheetDoubt, SheetDoubtCode, SheetFault } from './rowReader';
import type { SheetCell } from './readCell';

/** What becomes of a row: new here, here already the same, odd and to be answered, or refused. */
export const ROW_FATES = ['fresh', 'same', 'doubtful', 'refused'] as const;
export type Fate = (typeof ROW_FATES)[number];

/** A row of a table with its number in it, from 1. */
export interface SheetRow {
  readonly row: number;
  readonly cells: readonly SheetCell[];
}

/** What became of a row, and why. */
export interface RowFate {
  readonly row: number;
  readonly fate: Fate;
  readonly faults: readonly SheetFault[];
  readonly doubts: readonly SheetDoubt[];
}

export const DOUBT_ANSWERS = ['keep', 'leave', 'meter-replaced', 'last-misread'] as const;
/** What is said to a doubt: rows of it are kept, or left out; a meter that went back was replaced, or misread before. */
export type DoubtAnswer = (typeof DOUBT_ANSWERS)[number];
/** What was answered, by doubt; a doubt without an answer leaves its rows doubtful. */
export type DoubtAnswers = Readonly<Partial<Record<SheetDoubtCode, DoubtAnswer>>>;

/** Whether rows of these doubts are to be taken: every one was answered, and none was to be left out. */
export const isKept = (doubts: readonly SheetDoubt[], answers: DoubtAnswers): boolean =>
  doubts.every(({ code }) => (answers[code] ?? 'leave') !== 'leave');

/** What becomes of a row that is new here but for its doubts. */
export function fateOf(
  row: number,
  faults: readonly SheetFault[],
  doubts: readonly SheetDoubt[],
  answers: DoubtAnswers,
): RowFate {
  const open = doubts.some(({ code }) => answers[code] === undefined);
  const fate = faults.length > 0 ? 'refused' : open || !isKept(doubts, answers) ? 'doubtful' : 'fresh';
  return { row, fate, faults, doubts };
}
