import type { Job, JobCode } from './jobs';

/**
 * Which job a name means; the first that fits counts. Records of the time when jobs had names only are read by it: the migration
 * 0009_codes says the same in SQL.
 */
export const NAMED_JOBS: readonly (readonly [pattern: string, code: JobCode])[] = [
  ['brake fluid|bleed', 'brake-fluid'],
  ['coolant|antifreeze', 'coolant'],
  ['gear ?box|transmission', 'gearbox-oil'],
  ['transfer', 'transfer-oil'],
  ['axle|differential', 'axle-oil'],
  ['hydraulic', 'hydraulic-oil'],
  ['fuel filter', 'fuel-filter'],
  ['cabin|pollen', 'cabin-filter'],
  ['air (filter|cleaner)', 'air-filter'],
  ['^oil filter$', 'oil-filter'],
  ['(^|[^a-z])oil([^a-z]|$)', 'engine-oil'],
  ['plugs?($|[^a-z])', 'spark-plugs'],
  ['timing', 'timing-belt'],
  ['belt', 'auxiliary-belt'],
  ['battery', 'battery'],
  ['wiper', 'wipers'],
  ['rotat', 'rotation'],
  ['align|track', 'alignment'],
  ['tyre', 'tyres'],
  ['greas', 'greasing'],
];

/** The job a name means; one of the workshop's own where it means none of ours. */
export function jobNamed(name: string): Job {
  return { code: NAMED_JOBS.find(([pattern]) => new RegExp(pattern, 'i').test(name))?.[1] ?? 'own', name };
}
