/** Leak stages 0 to 5: dry, stain (dry trace), damp film, drop forming, dripping, running. */
export const LEAK_STAGES = ['dry', 'stain', 'damp', 'drop', 'drip', 'run'] as const;
/** How bad a leak is, from dry on. */
export type LeakStage = (typeof LEAK_STAGES)[number];

export const FLUIDS = [
  'engine-oil',
  'gear-oil',
  'transmission-fluid',
  'steering-hydraulic',
  'brake-fluid',
  'coolant',
  'fuel',
  'grease',
  'washer',
  'urea',
  'refrigerant-oil',
  'damper-oil',
  'water',
  'unknown',
] as const;
/** A fluid that may leak. */
export type Fluid = (typeof FLUIDS)[number];

/** What mostly drips from an engine bay; the others are a tap further. */
export const COMMON_FLUIDS = [
  'engine-oil',
  'coolant',
  'fuel',
  'brake-fluid',
  'water',
  'unknown',
] as const satisfies readonly Fluid[];

/** What the fluid reaches; exhaust, brake and belt make it one step worse. */
export const LEAK_REACHES = ['nothing', 'exhaust', 'brake', 'belt'] as const;
/** What a leak reaches that it should not. */
export type LeakReach = (typeof LEAK_REACHES)[number];

export const LEAK_PLACES = [
  'under-engine',
  'under-gearbox',
  'under-radiator',
  'at-wheel',
  'under-tank',
  'front-cover',
  'rocker-cover',
  'sump-joint',
  'drain-plug',
  'filter-seat',
  'rear-crank-seal',
  'cooler-joint',
  'bell-housing',
  'output-seal-left',
  'output-seal-right',
  'input-seal',
  'pinion-seal',
  'axle-cover',
  'breather',
  'wheel-cylinder',
  'calliper',
  'pipe-run',
  'hose-end',
  'pump',
  'master-cylinder',
  'rack-boot-left',
  'rack-boot-right',
  'steering-box-shaft',
  'damper-rod',
  'radiator-side',
  'radiator-bottom',
  'pump-weep-hole',
  'heater-pipe',
  'expansion-tank',
  'filler-cap',
  'tank',
  'filter-head',
  'ram',
] as const;
/** Where a leak shows. */
export type LeakPlace = (typeof LEAK_PLACES)[number];

/** What was seen of a leak at one place. `dry` is a finding of its own: looked at, nothing there. */
export interface LeakObservation {
  readonly stage: LeakStage;
  readonly fluid: Fluid;
  readonly place: LeakPlace | null;
  readonly reaches: LeakReach;
  /** Wiped clean so that the next look tells something. */
  readonly wiped: boolean;
  /** Drops counted, per minute; null when they were not. */
  readonly dropsPerMinute: number | null;
  /** Drips only while the engine runs; null when that was not asked. */
  readonly onlyRunning: boolean | null;
}

/** Looked at, nothing there. */
export const DRY: LeakObservation = {
  stage: 'dry',
  fluid: 'unknown',
  place: null,
  reaches: 'nothing',
  wiped: false,
  dropsPerMinute: null,
  onlyRunning: null,
};
