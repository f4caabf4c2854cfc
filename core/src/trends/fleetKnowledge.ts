import type { HeldUp } from './heldUp';
import { UNCALIBRATED, type Calibration } from '../wear/calibration';
import type { FleetRates } from '../wear/fleetRates';
import { USUAL_USAGE, type FleetUsage } from '../wear/usageModel';

/** What the whole fleet teaches each forecast, as plain data: learned on the server, carried by every device. */
export interface FleetKnowledge {
  /** When it was learned; null for what is built in. */
  readonly learnedAt: string | null;
  readonly rates: FleetRates;
  readonly use: FleetUsage;
  /** By kind of part: how wide ranges must be told so that they hold. */
  readonly widths: Readonly<Record<string, Calibration>>;
  /** By kind of part: how often the ranges that were shown have held. */
  readonly held: Readonly<Record<string, HeldUp>>;
}

export const BUILT_IN_FLEET: FleetKnowledge = { learnedAt: null, rates: {}, use: USUAL_USAGE, widths: {}, held: {} };

export const calibrationOf = ({ widths }: Pick<FleetKnowledge, 'widths'>, kind: string): Calibration =>
  widths[kind] ?? UNCALIBRATED;
