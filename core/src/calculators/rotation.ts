import type { MakeUp } from '../vehicle/makeUp';
import type { HouseRules } from '../house/houseRules';

export const CORNERS = ['1L', '1R', '2R', '2L'] as const;
/** A corner of a car with four wheels: axle and side. */
export type Corner = (typeof CORNERS)[number];

/** What decides which tyre may go where. */
export interface RotationQuestion {
  /** Least tread at each corner, mm. */
  readonly tread: Readonly<Record<Corner, number>>;
  /** Least tread of a full-size spare that may run, mm; null for none. */
  readonly spare: number | null;
  readonly drive: MakeUp['drive'];
  readonly directional: boolean;
  /** Front and rear tyres differ in size. */
  readonly staggered: boolean;
  readonly house: Pick<HouseRules, 'bestTyres' | 'rotation'>;
}

export const ROTATION_PATTERNS = ['same-side', 'forward-cross', 'rearward-cross', 'x', 'with-spare'] as const;
/** A way to move tyres round, by its code. */
export type RotationPattern = (typeof ROTATION_PATTERNS)[number];
/** Where the tyre that goes to each corner comes from. */
export type RotationMoves = Readonly<Record<Corner, Corner | 'spare'>>;

const MOVES: Record<Exclude<RotationPattern, 'with-spare'>, RotationMoves> = {
  'same-side': { '1L': '2L', '1R': '2R', '2R': '1R', '2L': '1L' },
  'forward-cross': { '1L': '2R', '1R': '2L', '2R': '1R', '2L': '1L' },
  'rearward-cross': { '1L': '2L', '1R': '2R', '2R': '1L', '2L': '1R' },
  x: { '1L': '2R', '1R': '2L', '2R': '1L', '2L': '1R' },
};

/** How to rotate, or why not to. */
export type RotationAnswer =
  | { readonly status: 'rotate'; readonly pattern: RotationPattern; readonly from: RotationMoves }
  | { readonly status: 'leave'; readonly why: 'house' | 'staggered' | 'gains-nothing' };

/** Less than this between two ways is nothing, mm. */
const WORTH_IT_MM = 0.5;

/**
 * Which rotation the house rule would choose. *Best at the rear*: only what leaves the better pair behind, and only
 * when it is not there now. *Even out*: what brings the deepest tread to where it wears most. Front-drive fronts go
 * straight back, others' rears go straight forward; directional tyres keep their side; staggered ones stay.
 */
export function rotationOf(question: RotationQuestion): RotationAnswer {
  if (question.house.rotation === 'none') return { status: 'leave', why: 'house' };
  if (question.staggered) return { status: 'leave', why: 'staggered' };
  const ways = allowedPatterns(question).map(([pattern, from]) => ({ pattern, from, gain: gainOf(from, question) }));
  const best = [...ways].sort((a, b) => b.gain - a.gain)[0];
  return best && best.gain > WORTH_IT_MM
    ? { status: 'rotate', pattern: best.pattern, from: best.from }
    : { status: 'leave', why: 'gains-nothing' };
}

function allowedPatterns({ directional, drive, spare }: RotationQuestion): [RotationPattern, RotationMoves][] {
  if (directional) return [['same-side', MOVES['same-side']]];
  const cross = drive === 'front' ? 'forward-cross' : 'rearward-cross';
  const plain: [RotationPattern, RotationMoves][] = [
    [cross, MOVES[cross]],
    ['same-side', MOVES['same-side']],
    ['x', MOVES.x],
  ];
  return spare === null ? plain : [...plain, ['with-spare', { ...MOVES[cross], '2R': 'spare' }]];
}

function gainOf(from: RotationMoves, { tread, spare, house }: RotationQuestion): number {
  const at = (source: Corner | 'spare') => (source === 'spare' ? (spare ?? 0) : tread[source]);
  const rear = (of: (corner: Corner) => number) => Math.min(of('2L'), of('2R'));
  const front = (of: (corner: Corner) => number) => Math.min(of('1L'), of('1R'));
  const after = (corner: Corner) => at(from[corner]);
  const now = (corner: Corner) => tread[corner];
  if (house.bestTyres === 'rear') return rear(after) >= front(after) ? rear(after) - rear(now) : -Infinity;
  const deepest = Math.max(...CORNERS.map(now));
  // Tread brought to a place, weighed by how much has gone there; staying as it is weighs zero.
  const weighed = CORNERS.map((corner) => (deepest - now(corner)) * (after(corner) - now(corner)));
  const worn = CORNERS.reduce((sum, corner) => sum + deepest - now(corner), 0);
  return worn === 0 ? 0 : weighed.reduce((sum, one) => sum + one, 0) / worn;
}
