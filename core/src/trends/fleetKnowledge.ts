import { UNCALIBRATED, type Calibration } from '../wear/calibration';
import type { FleetRates } from '../wear/fleetRates';
import { USUAL_USAGE, type FleetUsage } from '../wear/usageModel';

/** What the whole fleet teaches each forecast, as plain data: learned on the server, carried by every device. */
export interface FleetKnowledge {
  /** When it was learned; null for what is built in. */
  readonly learnedAt: string | null;
  readonly rates: FleetRates;
  readonly use: FleetUsage;
  /** By kind of part: how the forecasts of distance and of dates have held. */
  readonly distance: Readonly<Record<string, Calibration>>;
  readonly dates: Readonly<Record<string, Calibration>>;
}

export const BUILT_IN_FLEET: FleetKnowledge = { learnedAt: null, rates: {}, use: USUAL_USAGE, distance: {}, dates: {} };

export const calibrationOf = (all: Readonly<Record<string, Calibration>>, kind: string): Calibration =>
  all[kind] ?? UNCALIBRATED;
