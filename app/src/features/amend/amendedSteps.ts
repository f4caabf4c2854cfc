import { verdictOfVisit, type GradedPoint, type Vehicle } from '@weskopos/core';
import type { FoundVisit } from '../../sync/useLife';

/** The vehicle as it was signed, and the visit's points as they stand. */
export function amendedSteps({ life, visit, rules }: FoundVisit): {
  readonly vehicle: Vehicle;
  readonly points: readonly GradedPoint[];
} {
  return {
    vehicle: visit.sheet?.vehicle ?? life.vehicle,
    points: verdictOfVisit(life.vehicle, visit, rules).points,
  };
}
