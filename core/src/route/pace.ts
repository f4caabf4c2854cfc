import type { Finding } from '../inspection/finding';
import type { PointRef } from '../inspection/pointRef';
import { usualSeconds } from './visitRoute';

/** A longer gap between two entries was a break, not work, s. */
const BREAK_S = 300;
/** So many timings make a pace of one's own. */
const ENOUGH = 3;

/** How long each point takes this inspector: the median of recorded gaps between entries, else the usual. */
export function paceOf(
  visits: readonly (readonly Pick<Finding, 'point' | 'at' | 'inOneStroke'>[])[],
): (ref: PointRef) => number {
  const gaps = new Map<string, number[]>();
  for (const findings of visits) {
    const sorted = [...findings].sort((a, b) => Date.parse(a.at) - Date.parse(b.at));
    sorted.forEach((finding, index) => {
      const before = sorted[index - 1];
      if (!before || finding.inOneStroke) return;
      const seconds = (Date.parse(finding.at) - Date.parse(before.at)) / 1000;
      if (seconds > 0 && seconds <= BREAK_S) gaps.set(finding.point, [...(gaps.get(finding.point) ?? []), seconds]);
    });
  }
  return (ref) => {
    const own = [...(gaps.get(ref.point) ?? [])].sort((a, b) => a - b);
    if (own.length < ENOUGH) return usualSeconds(ref);
    const middle = Math.floor(own.length / 2);
    const [low, high] = [own[middle - 1] ?? 0, own[middle] ?? 0];
    return own.length % 2 ? high : (low + high) / 2;
  };
}
