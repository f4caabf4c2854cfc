/** Index of the first of rising values that is at least `wanted`; -1 where none is. */
export function firstAtLeast(rising: readonly number[], wanted: number): number {
  let [low, high] = [0, rising.length];
  while (low < high) {
    const half = (low + high) >> 1;
    if ((rising[half] ?? Infinity) < wanted) low = half + 1;
    else high = half;
  }
  return low === rising.length ? -1 : low;
}
