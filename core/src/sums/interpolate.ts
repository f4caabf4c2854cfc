/** Straight line between neighbouring rows of a table whose x rise; null outside it: a table says nothing beyond its ends. */
export function interpolate(table: readonly (readonly [number, number])[], x: number): number | null {
  const index = table.findIndex(([at]) => at >= x);
  const right = table[index];
  const left = table[index - 1];
  if (!right) return null;
  if (!left) return right[0] === x ? right[1] : null;
  const [x0, y0] = left;
  const [x1, y1] = right;
  return y0 + ((x - x0) / (x1 - x0)) * (y1 - y0);
}
