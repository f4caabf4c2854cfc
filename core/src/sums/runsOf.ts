/** Items next to each other that belong together, in their order; none is empty. */
export function runsOf<T>(items: readonly T[], together: (first: T, item: T) => boolean): [T, ...T[]][] {
  const runs: [T, ...T[]][] = [];
  for (const item of items) {
    const last = runs.at(-1);
    if (last && together(last[0], item)) last.push(item);
    else runs.push([item]);
  }
  return runs;
}
