/** How often ranges of one kind held, each part counted once. */
export interface HeldUp {
  /** Parts that came to their end. */
  readonly parts: number;
  /** Mean share of each part's ranges that held, 0 to 1; null before any part has come to its end. */
  readonly held: number | null;
}

/** What ranges promise, and how many of its standard errors a share must lie under it to be no accident. */
export const PROMISED = 0.8;
const SURE = 1.645;
/** Fewer parts tell nothing. */
const LEAST_PARTS = 12;

/** The interval a share of parts lies in, 95 % (E. Wilson 1927); null before any has come. */
export function heldBetween({ parts, held }: HeldUp): readonly [number, number] | null {
  if (held === null || parts === 0) return null;
  const z = 1.96;
  const middle = (held + z ** 2 / (2 * parts)) / (1 + z ** 2 / parts);
  const half = (z / (1 + z ** 2 / parts)) * Math.sqrt((held * (1 - held)) / parts + z ** 2 / (4 * parts ** 2));
  return [Math.max(0, middle - half), Math.min(1, middle + half)];
}

/** Whether ranges have failed more often than they promise, and not by accident. */
export const isNarrow = ({ parts, held }: HeldUp): boolean =>
  held !== null && parts >= LEAST_PARTS && held < PROMISED - SURE * Math.sqrt((PROMISED * (1 - PROMISED)) / parts);

/** What a forecast says of ranges of its kind: how often they held, where they have failed more often than they promise. */
export const failing = (told: HeldUp | undefined): { readonly held?: number } =>
  told && told.held !== null && isNarrow(told) ? { held: told.held } : {};
