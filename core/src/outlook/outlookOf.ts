import type { LifeEntry } from '../parts/lifeEntry';
import type { Rules } from '../rules/rulebook';
import { currentFindings } from '../inspection/currentFindings';
import { BUILT_IN_FLEET, type FleetKnowledge } from '../trends/fleetKnowledge';
import { rawReadings, type VisitRecord } from '../trends/series';
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
  return vehicleOutlook({
    vehicle,
    moments: signed.map(({ inspection }) => inspection),
    raw: signed.flatMap(({ inspection, findings }) =>
      // A current measured by another standard than the rating's is never converted: it is no part of the trend.
      rawReadings(
        inspection.id,
        findings.filter(
          ({ point, standard }) => point !== 'battery.crank' || standard === vehicle.spec.battery.standard,
        ),
      ),
    ),
    leaks: signed.flatMap(({ inspection, findings }) =>
      [...currentFindings(findings).standing.values()].flatMap((finding) =>
        finding.carried
          ? []
          : finding.leaks.map((observation) => ({
              inspectionId: inspection.id,
              at: inspection.startedAt,
              point: finding.point,
              observation,
            })),
      ),
    ),
    entries,
    rules,
    fleet,
  });
}
