import { pointKey } from '../catalogue/catalogue';
import equal from 'fast-deep-equal';
import { contentOf, type Finding } from './finding';

export interface CurrentFindings {
  /** The entry that stands for each point, by point key. */
  readonly standing: ReadonlyMap<string, Finding>;
  /** Points where entries that say different things stand beside each other; all kept, newest first. */
  readonly forks: ReadonlyMap<string, readonly Finding[]>;
}

const newestFirst = (a: Finding, b: Finding) => b.at.localeCompare(a.at) || b.id.localeCompare(a.id);

/**
 * Folds an append-only list of findings, in any order and with repeats, to what stands now:
 * for each point the entries nobody names as parent. With more than one, the newest stands and the fork is reported.
 */
export function currentFindings(findings: readonly Finding[]): CurrentFindings {
  const superseded = new Set(findings.map((finding) => finding.parent));
  const ends = new Map<string, Map<string, Finding>>();
  for (const finding of findings) {
    if (superseded.has(finding.id)) continue;
    const key = pointKey(finding.point, finding.place);
    const here = ends.get(key) ?? new Map<string, Finding>();
    ends.set(key, here.set(finding.id, finding));
  }
  const standing = new Map<string, Finding>();
  const forks = new Map<string, readonly Finding[]>();
  for (const [key, byId] of ends) {
    const sorted = [...byId.values()].sort(newestFirst);
    const [newest] = sorted;
    if (newest) standing.set(key, newest);
    // Two who say the same do not disagree; so a choice between two is told by saying the one over the other.
    if (newest && sorted.some((one) => !equal(contentOf(one), contentOf(newest)))) forks.set(key, sorted);
  }
  return { standing, forks };
}
