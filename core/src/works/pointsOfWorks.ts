import { pointKey } from '../catalogue/catalogue';
import type { Work } from './worksOf';

/**
 * Points that show whether works were done well, by key: where what they put right was found, or what was renewed is worn
 * again. Of works that were done since a visit, and of those that are still wanted.
 *
 * @param since when the last visit began, ISO 8601: what was done before it has been looked at
 */
export function pointsOfWorks(works: readonly Work[], since: string): string[] {
  const asked = works.filter(({ state, saidAt }) => state !== 'withdrawn' && (state !== 'done' || saidAt > since));
  const keys = asked.flatMap(({ reasons }) =>
    reasons.flatMap((one) =>
      one.kind === 'finding' || one.kind === 'runs-out' ? [pointKey(one.point, one.place)] : [],
    ),
  );
  return [...new Set(keys)];
}
