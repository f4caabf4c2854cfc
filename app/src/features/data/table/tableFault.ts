import { SHEET_PROBLEMS, type SheetProblem } from '@weskopos/contract/device';
import { isOneOf } from '@weskopos/core';
import { ServerProblem } from '../../../sync/transport';
import { data } from '@weskopos/words/en/pages/data';
import { table as say } from '@weskopos/words/en/pages/table';
import { problemWords } from '../../../words/problemWords';

/** What the server has against a table, in words. */
export function tableFault(error: unknown): string {
  if (!(error instanceof ServerProblem)) return problemWords(error);
  const { code, detail } = error.problem;
  if (isOneOf(SHEET_PROBLEMS, code)) return withDetail(say.faults[code], detail);
  if (code === 'sheet-rows-refused') return say.refusedRows;
  return data.faults[code] ?? problemWords(error);
}

const withDetail = (words: (typeof say.faults)[SheetProblem], detail: string | undefined) =>
  detail ? `${words} (${detail})` : words;
