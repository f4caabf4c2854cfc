import { offeredFor, type Template } from '../catalogue/templates';
import type { Finding } from '../inspection/finding';
import { isSigned, type Inspection } from '../inspection/inspection';
import type { Rulebook } from '../rules/rulebook';
import type { Vehicle } from '../vehicle/vehicle';
import { visitMinutes } from './visitMinutes';

/** Fewer points than this make a short look, which nobody asks for again by habit. */
const SHORT = 30;

/** A vehicle and its visits, oldest first, as far as its next visit is concerned. */
export interface VisitedVehicle {
  readonly vehicle: Vehicle;
  readonly visits: readonly {
    readonly inspection: Inspection;
    readonly findings: readonly Pick<Finding, 'point' | 'at' | 'inOneStroke'>[];
  }[];
}

/** The inspections a vehicle can be given, and the one it is given unless another is asked for. */
export interface UsualVisit {
  readonly offered: readonly Template[];
  readonly chosen: Template | undefined;
}

/** @param asked code of the inspection asked for; null for the one the last visit had, short looks left out */
export function usualVisit(
  { vehicle, visits }: VisitedVehicle,
  { templates }: Pick<Rulebook, 'templates'>,
  asked: string | null,
): UsualVisit {
  const signed = visits.filter(({ inspection }) => isSigned(inspection));
  const offered = offeredFor(templates, vehicle, signed.length > 0);
  const whole = (code: string) =>
    offered.some((one) => one.code === code && !one.onlyWatched && one.points.length >= SHORT);
  const code = asked ?? signed.findLast(({ inspection }) => whole(inspection.template))?.inspection.template;
  return {
    offered,
    chosen: offered.find((one) => one.code === code) ?? offered.find((one) => one.code === 'interim') ?? offered[0],
  };
}

/** Minutes the vehicle's next visit takes if it is given what it usually is; 0 where there is nothing to look at. */
export function usualMinutes(life: VisitedVehicle, rulebook: Rulebook): number {
  const { chosen } = usualVisit(life, rulebook, null);
  const { vehicle, visits } = life;
  if (!chosen) return 0;
  const plan = { vehicle, template: chosen, house: rulebook.house, focus: null };
  return visitMinutes(
    plan,
    visits.map(({ findings }) => findings),
  );
}
