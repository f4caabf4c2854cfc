import type { LifeEntry } from '../parts/lifeEntry';
import type { Rules } from '../rules/rulebook';
import { BUILT_IN_FLEET, type FleetKnowledge } from '../trends/fleetKnowledge';
import type { VisitRecord } from '../inspection/visitRecord';
import type { Vehicle } from '../vehicle/vehicle';
import { vehicleOutlook, type VehicleOutlook } from './vehicleOutlook';

/** As {@link vehicleOutlook}, from whole visits. @param signed signed visits only */
export function outlookOf(
  vehicle: Vehicle,
  signed: readonly VisitRecord[],
  entries: readonly LifeEntry[],
  rules: Rules,
  fleet: FleetKnowledge = BUILT_IN_FLEET,
): VehicleOutlook {
  const moments = signed.map(({ inspection }) => inspection);
  const looks = signed.flatMap(({ findings }) => findings);
  return vehicleOutlook({ vehicle, moments, looks, entries, rules, fleet });
}
