import type { Hub, Place, Twin } from '../vehicle/vehicle';
import { isOnHub, isWheel, type Seat, type Wheel } from '../vehicle/place';
import { MEASURES } from '../catalogue/measures';
import type { Series, SeriesReading } from '../trends/series';
import { groupBy } from '../sums/groupBy';
import type { PartKind } from '../parts/lifeEntry';
import { partOfPoint } from '../parts/threadParts';

/** A change of parts that nobody wrote down and the readings show: to be confirmed by the inspector. */
export type InferredChange = {
  /** Visits it happened between. */
  readonly after: SeriesReading;
  readonly by: SeriesReading;
} & (
  | {
      readonly kind: 'replaced';
      readonly what: PartKind;
      readonly place: Place;
      /** Series that got better, with the reading of each at the later visit: what was a misread, if it was one. */
      readonly jumps: readonly Series[];
    }
  /** Every tyre is a better one: all renewed, or the other set is on. */
  | { readonly kind: 'all-tyres'; readonly wheels: readonly (Hub | Twin)[] }
  | { readonly kind: 'rotated'; readonly moves: readonly { readonly from: Wheel; readonly to: Wheel }[] }
);

/** What a tyre may wear between two visits, over what its gauge may be off, mm. */
const MOST_WORN_MM = 1.2;
const MIN_ROTATED = 2;
/** A vehicle's tyres are all changed where at least so many are. */
const LEAST_WHEELS = 4;

/**
 * Parts that look new without anybody having said so, newest first. Tyres whose depths changed places over the axles are
 * offered as one rotation instead.
 */
export function inferredChanges(series: readonly Series[]): InferredChange[] {
  const jumps = series.flatMap((one) => {
    const what = partOfPoint(one.point);
    if (!what || MEASURES[one.measure].nature !== 'wear') return [];
    return one.readings.flatMap((by, index) => {
      const after = one.readings[index - 1];
      // A part of its own that no entry told: its name counts what only looks new.
      return after && by.startsPart && !by.part.endsWith(' 0') ? [{ series: one, what, after, by }] : [];
    });
  });
  const byVisit = [...groupBy(jumps, ({ by }) => by.inspectionId)].map(([, ones]) => ones);
  return byVisit
    .flatMap((ones): InferredChange[] => {
      const [first] = ones;
      const moves = first ? rotationIn(series, first.by.inspectionId) : [];
      const moved = new Set<Seat>(moves.map(({ to }) => to));
      const rotated: InferredChange[] =
        first && moves.length > 0 ? [{ kind: 'rotated', moves, after: first.after, by: first.by }] : [];
      const all = first && moves.length === 0 ? allTyresIn(series, ones) : [];
      const changed: InferredChange[] =
        first && all.length > 0 ? [{ kind: 'all-tyres', wheels: all, after: first.after, by: first.by }] : [];
      const rest = ones.filter(
        ({ what, series: { place } }) => what !== 'tyre' || (all.length === 0 && !moved.has(place)),
      );
      const parts = groupBy(rest, ({ what, series: { place } }) => `${what}@${place}`);
      return [...rotated, ...changed, ...[...parts.values()].flatMap(replaced)];
    })
    .sort((a, b) => b.by.at.localeCompare(a.by.at));
}

interface Jump extends Pick<InferredChange, 'after' | 'by'> {
  readonly series: Series;
  readonly what: PartKind;
}

/** Every wheel, where each has another tyre at this visit; none where only some have. */
function allTyresIn(series: readonly Series[], jumps: readonly Jump[]): (Hub | Twin)[] {
  const changed = new Set(jumps.flatMap(({ what, series: { place } }) => (what === 'tyre' ? [place] : [])));
  const places = [...new Set(series.flatMap(({ point, place }) => (partOfPoint(point) === 'tyre' ? [place] : [])))];
  return changed.size >= LEAST_WHEELS && places.every((place) => changed.has(place)) ? places.filter(isOnHub) : [];
}

/** One part that looks new by all the series it is read in. */
function replaced(jumps: readonly Jump[]): InferredChange[] {
  const [first] = jumps;
  if (!first) return [];
  const { what, after, by } = first;
  return [{ kind: 'replaced', what, place: first.series.place, jumps: jumps.map(({ series }) => series), after, by }];
}

/** Wheels whose depths at a visit are those that other wheels had before: each pair that changed with another axle. */
function rotationIn(series: readonly Series[], inspectionId: string): { from: Wheel; to: Wheel }[] {
  const treads = series.filter(({ point, spot }) => point === 'tyre.tread' && spot === 'centre');
  const looks = treads.flatMap(({ place, readings }) => {
    const at = readings.findIndex((reading) => reading.inspectionId === inspectionId);
    const [before, now] = [readings[at - 1], readings[at]];
    return before && now ? [{ place, before, now }] : [];
  });
  const cameFrom = (a: (typeof looks)[number], b: (typeof looks)[number]) => {
    const worn = b.before.value - a.now.value;
    const slack = 3 * Math.hypot(a.now.u, b.before.u);
    return worn >= -slack && worn <= MOST_WORN_MM + slack;
  };
  const moves = looks.flatMap((one) => {
    const other = looks.find(
      (two) =>
        two.place[0] !== one.place[0] &&
        two.place.slice(1) === one.place.slice(1) &&
        cameFrom(one, two) &&
        cameFrom(two, one) &&
        Math.abs(one.before.value - two.before.value) > 3 * Math.hypot(one.before.u, two.before.u),
    );
    return other && isWheel(other.place) && isWheel(one.place) ? [{ from: other.place, to: one.place }] : [];
  });
  return moves.length >= MIN_ROTATED ? moves : [];
}
