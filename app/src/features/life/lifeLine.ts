import type { Life, Visit } from '@weskopos/contract';
import { countedVisits, jobsOf, standingEntries, type JobDone, type LifeEntry } from '@weskopos/core';

/** One mark on the line of time. */
export type LifeMark =
  | { readonly kind: 'visit'; readonly id: string; readonly at: string; readonly visit: Visit }
  | { readonly kind: 'job'; readonly id: string; readonly at: string; readonly job: JobDone }
  | { readonly kind: 'entry'; readonly id: string; readonly at: string; readonly entry: LifeEntry };

/** What of a life is shown. */
export const LIFE_SHOWN = ['all', 'visits', 'jobs', 'parts', 'fuel'] as const;
export type LifeShown = (typeof LIFE_SHOWN)[number];

const ENTRY_SHOWN: Readonly<Record<LifeEntry['kind'], LifeShown>> = {
  fuel: 'fuel',
  'top-up': 'fuel',
  meter: 'fuel',
  plan: 'fuel',
  job: 'jobs',
  'not-known': 'jobs',
  fit: 'parts',
  rotate: 'parts',
  misread: 'visits',
  work: 'jobs',
  'work-step': 'jobs',
  undo: 'all',
};

/** What a mark is shown under, beside *all*. */
export const shownUnder = (mark: LifeMark): LifeShown =>
  mark.kind === 'visit' ? 'visits' : mark.kind === 'job' ? 'jobs' : ENTRY_SHOWN[mark.entry.kind];

/** A life as one line of time, newest first: its visits, the jobs done in them, and what was written down between. */
export function lifeLine({ visits, entries }: Pick<Life, 'visits' | 'entries'>): LifeMark[] {
  const marks: LifeMark[] = [
    ...visits.map(
      (visit) => ({ kind: 'visit', id: visit.inspection.id, at: visit.inspection.startedAt, visit }) as const,
    ),
    ...jobsOf(countedVisits(visits), []).map(
      (job) => ({ kind: 'job', id: `${job.toldBy.id} ${job.job.code}`, at: job.at, job }) as const,
    ),
    ...standingEntries(entries).map((entry) => ({ kind: 'entry', id: entry.id, at: entry.at, entry }) as const),
  ];
  return marks.sort((a, b) => b.at.localeCompare(a.at));
}
