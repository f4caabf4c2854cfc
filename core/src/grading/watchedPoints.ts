import type { GradedPoint } from './verdict';

/** What a return visit looks at again: watched spots, advisories, fails, and what was not seen or only carried. By key. */
export function watchedPoints(last: readonly GradedPoint[]): string[] {
  return last
    .filter(
      ({ result }) =>
        result.watch || result.carried !== null || ['advisory', 'fail', 'not-seen'].includes(result.grade),
    )
    .map(({ key }) => key);
}
