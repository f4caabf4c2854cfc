import { ServerProblem } from '../../sync/transport';
import { data as say } from '@weskopos/words/en/pages/data';
import { problemWords } from '../../words/problemWords';

/** Why a file was not taken: in one sentence, and line by line where that can be said. */
export interface Fault {
  readonly words: string;
  readonly lines: readonly string[];
}

/** So many lines are shown; who has more begins with these. */
const MOST_SHOWN = 20;

/** What the server has against a bundle, in words. */
export function faultsOf(error: unknown): Fault {
  const problem = error instanceof ServerProblem ? error.problem : null;
  const words = problem && say.faults[problem.code];
  if (!problem || words === undefined || words === null) return { words: problemWords(error), lines: [] };
  const errors = problem.errors ?? [];
  const lines = errors.slice(0, MOST_SHOWN).map(({ field, message }) => say.line(field, message));
  const more = errors.length - lines.length;
  const about = errors.length === 0 && problem.detail ? [problem.detail] : [];
  return { words, lines: [...about, ...lines, ...(more > 0 ? [say.moreFaults(more)] : [])] };
}
