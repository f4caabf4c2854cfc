import { entriesOf, jobKey, standingEntries, type LifeEntry, type WorkTask } from '@weskopos/core';

/** What went in the last time the same was done, as it was written down; null where nobody wrote it. */
export function usedLast(
  { code, name }: WorkTask,
  entries: readonly LifeEntry[],
): { readonly numbers: string; readonly at: string } | null {
  if (code === 'put-right' || code === 'pads' || code === 'shoes' || code === 'discs') return null;
  const key = jobKey({ code, name });
  const last = entriesOf(standingEntries(entries), 'job').findLast(
    ({ job, numbers }) => jobKey(job) === key && numbers !== '',
  );
  return last ? { numbers: last.numbers, at: last.at } : null;
}
