/** At most so many of a list, taken evenly through all of it. */
export function evenly<T>(list: readonly T[], most: number): readonly T[] {
  const every = Math.max(1, Math.ceil(list.length / most));
  return every === 1 ? list : list.filter((_, index) => index % every === 0);
}
