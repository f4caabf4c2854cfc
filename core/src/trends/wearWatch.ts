import { lastKnown, type Series } from './series';
import { findRateChange, type RateChange } from '../wear/rateChange';
import type { Vehicle } from '../vehicle/vehicle';
import { BUILT_IN_FLEET, type FleetKnowledge } from './fleetKnowledge';
import { partHistory } from './partHistory';
import { runsOut } from './runsOut';

/** What the wear of a vehicle may be doing, by every series of it at once; null before anything was looked at twice. */
export function wearWatch(
  vehicle: Pick<Vehicle, 'id' | 'class' | 'use' | 'meterUnit'>,
  series: readonly Series[],
  { rates }: Pick<FleetKnowledge, 'rates'> = BUILT_IN_FLEET,
): RateChange | null {
  const wearing = series.filter((one) => runsOut(one) && lastKnown(one) !== undefined);
  return findRateChange(
    rates,
    wearing.map((one) => ({ place: one.place, history: { ...partHistory(vehicle, one), id: one.key } })),
  );
}
