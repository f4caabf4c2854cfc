import type { Life, Visit } from '@weskopos/contract';
import { worksOf, type Work } from '@weskopos/core/works/worksOf';
import { countedVisits, jobsOf, standingEntries, type JobDone, type LifeEntry } from '@weskopos/core';

/** One mark on the line of time. */
export type LifeMark =
  | { readonly kind: 'visit'; readonly id: string; readonly at: string; readonly visit: Visit }
  | { readonly kind: 'job'; readonly id: string; readonly at: string; readonly job: JobDone }
  | { readonly kind: 'work'; readonly id: string; readonly at: string; readonly work: Work }
  | { readonly kind: 'entry'; readonly id: string; readonly at: string; readonly entry: EntryMark };

/** What of a life is shown. */
export const LIFE_SHOWN = ['all', 'visits', 'jobs', 'parts', 'fuel'] as const;
export type LifeShown = (typeof LIFE_SHOWN)[number];

const ENTRY_SHOWN: Readonly<Record<EntryMark['kind'], LifeShown>> = {
  fuel: 'fuel',
  'top-up': 'fuel',
  meter: 'fuel',
  plan: 'fuel',
  job: 'jobs',
  'not-known': 'jobs',
  fit: 'parts',
  rotate: 'parts',
  misread: 'visits',
  undo: 'all',
};

/** What a mark is shown under, beside *all*. */
export const shownUnder = (mark: LifeMark): LifeShown =>
  mark.kind === 'visit'
    ? 'visits'
    : mark.kind === 'job' || mark.kind === 'work'
      ? 'jobs'
      : ENTRY_SHOWN[mark.entry.kind];

/** What is no mark of its own: a work is one, with all that was said of it. */
type EntryMark = Exclude<LifeEntry, { kind: 'work' | 'work-step' | 'work-cost' }>;
const isMark = (entry: LifeEntry): entry is EntryMark =>
  entry.kind !== 'work' && entry.kind !== 'work-step' && entry.kind !== 'work-cost';

/**
 * A life as one line of time, newest first: its visits, the jobs done in them, works where the last was said of them, and
 * what was written down between.
 */
export function lifeLine({ visits, entries }: Pick<Life, 'visits' | 'entries'>): LifeMark[] {
  const marks: LifeMark[] = [
    ...visits.map(
      (visit) => ({ kind: 'visit', id: visit.inspection.id, at: visit.inspection.startedAt, visit }) as const,
    ),
    ...jobsOf(countedVisits(visits), []).map(
      (job) => ({ kind: 'job', id: `${job.toldBy.id} ${job.job.code}`, at: job.at, job }) as const,
    ),
    ...worksOf(entries).map((work) => ({ kind: 'work', id: work.id, at: work.saidAt, work }) as const),
    ...standingEntries(entries)
      .filter(isMark)
      .map((entry) => ({ kind: 'entry', id: entry.id, at: entry.at, entry }) as const),
  ];
  return marks.sort((a, b) => b.at.localeCompare(a.at));
}
