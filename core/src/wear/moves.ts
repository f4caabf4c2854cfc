import type { KindRates, PartHistory } from './fleetRates';

/** A part that leaves its axle, or the road, every so often and comes back: what lies ahead of it. */
export interface MovesAhead {
  /** How long until it is moved next, and how long it is away, and here again, each time: nobody knows, each as likely. */
  readonly cases: readonly { readonly first: number; readonly away: number; readonly here: number }[];
  /** Its rate while it is away against the present one: none off the road. */
  readonly ratio: number;
}

/** A house that rotates does so after a quarter, a half … of its usual way, or twice of it. */
const ROTATED_AT = [0.25, 0.6, 1, 1.5, 2.2] as const;
/** One that is overdue comes within this share of the usual distance. */
const OVERDUE = 0.25;
/** Sets are changed with the season, at the visit after: each stretch is so much of the usual. */
const CHANGED_AT = [0.4, 0.7, 1, 1.35, 1.8] as const;
/** And a visit that comes late makes one stretch longer and the next shorter: away, here. */
const STRETCHES = [
  [0.4, 1.35],
  [1, 1],
  [1.6, 0.65],
] as const;
const CHANGE_OVERDUE = 0.05;
/** Built in, where nobody knows how far it is driven: half a year of a vehicle as it is usually driven, thousands of km. */
const HALF_YEAR = 7.5;
const LEAST_STRETCH = 0.5;

/** Where a part came from another axle to stay on the road: each with the x up to which it sat at the one before. */
export function axleMoves({ axle, before = [] }: Pick<PartHistory, 'axle' | 'before'>): readonly { until: number }[] {
  const onRoad = before.filter((one) => one.axle !== null);
  return onRoad.filter((one, index) => one.axle !== (onRoad[index + 1]?.axle ?? axle));
}

/** What moves lie ahead of a part by its vehicle's record, or by what its house does; null for one that stays. */
export function movesAhead(rates: Pick<KindRates, 'axles' | 'movedEvery'>, part: PartHistory) {
  return part.sets ? seasons(part) : rotations(rates, part);
}

const mean = (values: readonly number[]) => values.reduce((sum, value) => sum + value, 0) / values.length;

/** A part that is one of two sets: on and off the road for as long as those were before. */
function seasons({ sets, fitted, readings }: PartHistory): MovesAhead | null {
  const last = readings.at(-1)?.x ?? fitted?.x;
  if (!sets || last === undefined) return null;
  const { changes, halfYear } = sets;
  // The last whole stretch was the other set's.
  const back = changes
    .slice(1)
    .map((x, index) => x - (changes[index] ?? x))
    .reverse();
  const stretch = (odd: number) => {
    const own = back.filter((_, index) => index % 2 === odd);
    return Math.max(LEAST_STRETCH, own.length > 0 ? mean(own) : (halfYear ?? HALF_YEAR));
  };
  const [away, here] = [stretch(0), stretch(1)];
  // Where a season went by without a visit, the set stayed on for another round.
  const on = (last - (changes.at(-1) ?? fitted?.x ?? readings[0]?.x ?? last)) % (here + away);
  const firsts = CHANGED_AT.map((share) => Math.max(CHANGE_OVERDUE, share - on / here) * here);
  const cases = firsts.flatMap((first) =>
    STRETCHES.map(([off, back]) => ({ first, away: off * away, here: back * here })),
  );
  return { cases, ratio: 0 };
}

/** A house that moves such parts to the other axle every so often. */
function rotations(
  { axles, movedEvery }: Pick<KindRates, 'axles' | 'movedEvery'>,
  { axle, before = [], fitted, readings }: PartHistory,
): MovesAhead | null {
  const others = Object.entries(axles).filter(([name]) => name !== axle);
  if (movedEvery === null || others.length === 0) return null;
  const now = axles[axle]?.mean ?? 0;
  const ratio = mean(others.map(([, shift]) => Math.exp(shift.mean - now)));
  const last = readings.at(-1)?.x ?? fitted?.x ?? 0;
  const since = last - (before.at(-1)?.until ?? fitted?.x ?? readings[0]?.x ?? last);
  const first = Math.max(OVERDUE * movedEvery, movedEvery - since);
  return { cases: ROTATED_AT.map((share) => ({ first: share * first, away: movedEvery, here: movedEvery })), ratio };
}

/** Distance at the present axle that wears as much as `driven` with its moves, in one of the cases. */
export function wornBy(
  driven: number,
  { first, away, here }: MovesAhead['cases'][number],
  { ratio }: Pick<MovesAhead, 'ratio'>,
): number {
  if (driven <= first) return driven;
  const [rounds, rest] = [Math.floor((driven - first) / (away + here)), (driven - first) % (away + here)];
  return first + rounds * (away * ratio + here) + Math.min(rest, away) * ratio + Math.max(0, rest - away);
}

/** Distances with its moves within which a part wears at least as much as over others at the present axle, in every case. */
export function longest(distances: readonly number[], { cases, ratio }: MovesAhead): number[] {
  const away = Math.max(...cases.map((one) => one.away));
  const far = Math.max(1, ...cases.map(({ away: off, here }) => 1 / Math.max(ratio, here / (off + here))));
  return [...distances.map((distance) => distance * far), far * (distances.at(-1) ?? 0) + away];
}
