/** The measures of a filter and of where it is to sit. */
export interface FilterFitQuestion {
  /** Thread of the filter and of the spigot: diameter and pitch, mm. */
  readonly filter: {
    readonly threadMm: number;
    readonly pitchMm: number;
    readonly sealInsideMm: number;
    readonly sealOutsideMm: number;
  };
  readonly engine: {
    readonly threadMm: number;
    readonly pitchMm: number;
    readonly landingInsideMm: number;
    readonly landingOutsideMm: number;
  };
  /** Opening pressures of the by-pass are known to agree. */
  readonly bypassKnown: boolean;
}

export const FILTER_MISFITS = ['thread', 'pitch', 'seal-inside', 'seal-outside'] as const;
/** What does not fit, as a code that words hang on. */
export type FilterMisfit = (typeof FILTER_MISFITS)[number];

/** Whether a filter fits, and what is not known about it. */
export interface FilterFit {
  readonly misfits: readonly FilterMisfit[];
  /** It screws on and seals, but nobody knows when its by-pass opens. */
  readonly warnBypass: boolean;
}

/** Whether a spin-on filter fits: thread and pitch equal, the seal's ring wholly on the landing. */
export function filterFit({ filter, engine, bypassKnown }: FilterFitQuestion): FilterFit {
  const checks: Record<FilterMisfit, boolean> = {
    thread: filter.threadMm === engine.threadMm,
    pitch: filter.pitchMm === engine.pitchMm,
    'seal-inside': filter.sealInsideMm >= engine.landingInsideMm,
    'seal-outside': filter.sealOutsideMm <= engine.landingOutsideMm,
  };
  return { misfits: FILTER_MISFITS.filter((misfit) => !checks[misfit]), warnBypass: !bypassKnown };
}
