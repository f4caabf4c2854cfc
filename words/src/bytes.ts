const STEPS = [
  ['GB', 1e9],
  ['MB', 1e6],
  ['kB', 1e3],
] as const;

/** A size on disk in the largest unit it has one of. */
export function byteWords(bytes: number): string {
  const [unit, size] = STEPS.find(([, step]) => bytes >= step) ?? ['kB', 1e3];
  const value = bytes / size;
  return `${value.toFixed(value > 0 && value < 10 ? 1 : 0)} ${unit}`;
}
