/** How a level falls, and what its keeper does about it; levels as shares of the span between the marks. */
export interface LevelTruth {
  readonly fresh: number;
  /** What is lost in 1,000 km, of the span. */
  readonly per1000: number;
  /** Found under this it is topped up at once. */
  readonly topUpUnder: number;
  /** What it is topped up to. */
  readonly topUpTo: number;
}

/** A level at one visit: before and after anybody touched it. */
export interface KeptLevel {
  readonly found: number;
  /** Null where nothing was filled. */
  readonly left: number | null;
}

/** The level at each of some visits, by their distances from the first, km: whoever finds it low fills it. */
export function keptLevels(truth: LevelTruth, kms: readonly number[]): KeptLevel[] {
  let [level, at] = [truth.fresh, kms[0] ?? 0];
  return kms.map((km) => {
    const found = level - (truth.per1000 * (km - at)) / 1000;
    const left = found < truth.topUpUnder ? truth.topUpTo : null;
    [level, at] = [left ?? found, km];
    return { found, left };
  });
}
