/** What is done to a vehicle in service, by a code that means the same in every language. `own` is told by the workshop's name for it. */
export const JOB_CODES = [
  'engine-oil',
  'oil-filter',
  'air-filter',
  'cabin-filter',
  'fuel-filter',
  'spark-plugs',
  'coolant',
  'brake-fluid',
  'gearbox-oil',
  'transfer-oil',
  'axle-oil',
  'hydraulic-oil',
  'timing-belt',
  'auxiliary-belt',
  'battery',
  'key-cell',
  'wipers',
  'tyres',
  'rotation',
  'alignment',
  'greasing',
  'wheel-bolts',
  'own',
] as const;
/** A job by its code; `own` for one only the workshop has a name for. */
export type JobCode = (typeof JOB_CODES)[number];

/** Something done at intervals. */
export interface Job {
  readonly code: JobCode;
  /** As the workshop calls it; may be empty where the code says it all. */
  readonly name: string;
}

/** What tells one job from another: its code, or the workshop's own name. */
export function jobKey({ code, name }: Job): string {
  return code === 'own' ? `own ${name.trim().toLowerCase()}` : code;
}
