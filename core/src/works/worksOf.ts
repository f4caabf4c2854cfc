import { entriesOf, standingEntries, type LifeEntry, type LifeEntryOf } from '../parts/lifeEntry';
import type { WorkStepKind, WorkTask } from '../parts/work';
import { groupBy } from '../sums/groupBy';

/** How a work stands. */
export const WORK_STATES = ['proposed', 'put', 'agreed', 'declined', 'asked', 'planned', 'done', 'withdrawn'] as const;
/** How a work stands, by the last thing said of it. */
export type WorkState = (typeof WORK_STATES)[number];

type WorkEntry = LifeEntryOf<'work'>;
type StepEntry = LifeEntryOf<'work-step'>;

/** A work with all that was said of it. */
export interface Work extends WorkEntry {
  readonly state: WorkState;
  /** Oldest first. */
  readonly steps: readonly StepEntry[];
  /** How often it was declined. */
  readonly declines: number;
  /** When the last thing was said of it, ISO 8601. */
  readonly saidAt: string;
  /** The day it is planned for, ISO date; null where it is not. */
  readonly plannedOn: string | null;
}

const STATE_AFTER: Readonly<Record<WorkStepKind, WorkState>> = {
  put: 'put',
  agreed: 'agreed',
  declined: 'declined',
  asked: 'asked',
  planned: 'planned',
  done: 'done',
  withdrawn: 'withdrawn',
  again: 'proposed',
};

/** What tells one work from another: the same thing at the same place. */
export const taskKey = ({ code, point, name, place }: WorkTask): string =>
  `${code} ${point ?? ''} ${name.trim().toLowerCase()} ${place}`;

/** Whether nothing more is wanted of it: done or withdrawn. A declined one may still be thought over. */
export const isClosed = ({ state }: Pick<Work, 'state'>): boolean => state === 'done' || state === 'withdrawn';

/**
 * The works of a vehicle, oldest first. What was taken back is left out; of two answers the later one stands, and both are
 * told. A work that is done stays done whatever a keeper answers late.
 */
export function worksOf(entries: readonly LifeEntry[]): Work[] {
  const standing = standingEntries(entries);
  const steps = groupBy(entriesOf(standing, 'work-step'), ({ refers }) => refers);
  return entriesOf(standing, 'work').map((work) => {
    const said = steps.get(work.id) ?? [];
    const cost = entriesOf(standing, 'work-cost').findLast(({ refers }) => refers === work.id);
    const counting = said.filter((step, at) => step.keeper === '' || !wasClosed(said.slice(0, at)));
    const last = counting.at(-1);
    return {
      ...work,
      ...(cost ? { minutes: cost.minutes, parts: cost.parts } : {}),
      state: last ? STATE_AFTER[last.step] : 'proposed',
      steps: said,
      declines: said.filter(({ step }) => step === 'declined').length,
      saidAt: last?.at ?? work.at,
      plannedOn: last?.step === 'planned' ? last.on : null,
    };
  });
}

function wasClosed(before: readonly StepEntry[]): boolean {
  const last = before.findLast(({ keeper }) => keeper === '');
  return last !== undefined && isClosed({ state: STATE_AFTER[last.step] });
}
