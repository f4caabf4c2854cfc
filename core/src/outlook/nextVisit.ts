import type { VisitMoment } from '../trends/series';

const DAY_MS = 86_400_000;
/** Last gaps that tell the pace of visits. */
const GAPS = 4;

/** When a vehicle would come again if it goes on as it did: the middle of its last gaps; null before there are two visits. */
export function nextVisitOf(moments: readonly Pick<VisitMoment, 'startedAt'>[]): string | null {
  const days = moments.map(({ startedAt }) => Date.parse(startedAt)).sort((a, b) => a - b);
  const gaps = days
    .slice(1)
    .map((day, index) => day - (days[index] ?? day))
    .filter((gap) => gap >= DAY_MS)
    .slice(-GAPS)
    .sort((a, b) => a - b);
  const [last, gap] = [days.at(-1), gaps[Math.floor(gaps.length / 2)]];
  return last === undefined || gap === undefined ? null : new Date(last + gap).toISOString();
}
