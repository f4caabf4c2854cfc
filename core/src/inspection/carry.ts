import type { Template } from '../catalogue/templates';
import { BLANK_CONTENT, type Finding, type FindingContent } from './finding';
import type { Inspection } from './inspection';

const MS_PER_DAY = 86_400_000;
/** Older looks do not stand in for today's, days. */
const MOST_DAYS = 92;

/**
 * The earlier look that may stand in for today's at a point: itself seen, not carried already, not older than three
 * months, and the template lets things be carried.
 */
export function carriedFrom(
  last: { readonly finding: Finding; readonly inspection: Pick<Inspection, 'startedAt'> } | undefined,
  template: Pick<Template, 'nothingCarried'>,
  today: string,
): Finding | undefined {
  if (!last || template.nothingCarried || last.finding.carried || last.finding.access !== 'seen') return undefined;
  const days = (Date.parse(today) - Date.parse(last.inspection.startedAt)) / MS_PER_DAY;
  return days >= 0 && days <= MOST_DAYS ? last.finding : undefined;
}

/** What an entry says that carries an earlier look: its readings as they were left and its words, dated. */
export function carriedContent(earlier: Finding, at: string): FindingContent {
  const left = earlier.readings.filter(({ phase }) => phase === 'left');
  const replaced = new Set(left.map(({ measure, spot }) => `${measure}/${spot}`));
  const kept = earlier.readings.filter(
    ({ phase, measure, spot }) => phase === 'found' && !replaced.has(`${measure}/${spot}`),
  );
  return {
    ...BLANK_CONTENT,
    access: 'seen',
    readings: [...kept, ...left.map((reading) => ({ ...reading, phase: 'found' as const }))],
    words: earlier.words,
    leaks: earlier.leaks,
    counts: earlier.counts,
    howRead: earlier.howRead,
    standard: earlier.standard,
    carried: { at: at.slice(0, 10), from: 'visit' },
  };
}
