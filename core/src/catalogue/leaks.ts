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

/** What lies behind each place that mostly leaks one thing. */
const FLUID_AT: Partial<Record<LeakPlace, Fluid>> = {
  'under-engine': 'engine-oil',
  'under-gearbox': 'gear-oil',
  'under-radiator': 'coolant',
  'at-wheel': 'brake-fluid',
  'under-tank': 'fuel',
  'front-cover': 'engine-oil',
  'rocker-cover': 'engine-oil',
  'sump-joint': 'engine-oil',
  'drain-plug': 'engine-oil',
  'filter-seat': 'engine-oil',
  'rear-crank-seal': 'engine-oil',
  'bell-housing': 'engine-oil',
  'output-seal-left': 'gear-oil',
  'output-seal-right': 'gear-oil',
  'input-seal': 'gear-oil',
  'pinion-seal': 'gear-oil',
  'axle-cover': 'gear-oil',
  'wheel-cylinder': 'brake-fluid',
  calliper: 'brake-fluid',
  'master-cylinder': 'brake-fluid',
  'rack-boot-left': 'steering-hydraulic',
  'rack-boot-right': 'steering-hydraulic',
  'steering-box-shaft': 'steering-hydraulic',
  'damper-rod': 'damper-oil',
  'radiator-side': 'coolant',
  'radiator-bottom': 'coolant',
  'pump-weep-hole': 'coolant',
  'heater-pipe': 'coolant',
  'expansion-tank': 'coolant',
  'filter-head': 'fuel',
  ram: 'steering-hydraulic',
};

/**
 * Fluids in the order they are likely at a point: what leaked here before, what lies behind its places, then what mostly
 * drips from an engine bay, *unknown* among them.
 */
export function likelyFluids(places: readonly LeakPlace[], before: readonly Pick<LeakObservation, 'fluid'>[]): Fluid[] {
  const known = before.map(({ fluid }) => fluid).filter((fluid) => fluid !== 'unknown');
  const behind = places.flatMap((place) => FLUID_AT[place] ?? []);
  return [...new Set<Fluid>([...known, ...behind, ...COMMON_FLUIDS])];
}
