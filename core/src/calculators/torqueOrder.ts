export const STUD_COUNTS = [4, 5, 6, 8, 10] as const;
/** How many studs a wheel may have. */
export type StudCount = (typeof STUD_COUNTS)[number];

/** First half the torque all round, then all of it. */
export const TORQUE_STAGES = [0.5, 1] as const;

/**
 * Order to tighten the studs of a wheel, numbered 1 to n clockwise from the top: opposite pairs, each next pair the one
 * nearest a right angle to the last, never two neighbours in a row; five studs go round the star.
 */
export function torqueOrder(studs: StudCount): number[] {
  if (studs === 5) return [1, 3, 5, 2, 4];
  const half = studs / 2;
  const order: number[] = [0, half];
  const left = Array.from({ length: half - 1 }, (_, index) => index + 1);
  while (left.length > 0) {
    const lastPair = (order.at(-2) ?? 0) % half;
    const fromRightAngle = (pair: number) => {
      const between = Math.abs(pair - lastPair);
      return Math.abs(Math.min(between, half - between) - half / 2);
    };
    left.sort((a, b) => fromRightAngle(a) - fromRightAngle(b) || a - b);
    const pair = left.shift() ?? 0;
    const last = order.at(-1) ?? 0;
    const [first, second] =
      apart(last, pair, studs) >= apart(last, pair + half, studs) ? [pair, pair + half] : [pair + half, pair];
    order.push(first, second);
  }
  return order.map((stud) => stud + 1);
}

/** Steps between two studs round the circle. */
function apart(a: number, b: number, studs: number): number {
  const between = Math.abs(a - b);
  return Math.min(between, studs - between);
}
