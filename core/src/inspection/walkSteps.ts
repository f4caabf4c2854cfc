import { axlePlaceOf } from '../vehicle/place';
import type { PointRef } from './pointRef';
import { cataloguePoint, pointKey, soundByEye, type PointCode } from '../catalogue/catalogue';
import type { Template } from '../catalogue/templates';
import type { Station } from '../catalogue/points/point';
import type { HouseRules } from '../house/houseRules';
import { hasFits } from '../vehicle/fits';
import { axleAt, hubPlaces, tyresAtHub, type Place, type Vehicle, type Hub } from '../vehicle/vehicle';
import type { Finding } from './finding';
import type { Inspection } from './inspection';

/** What is shown at once: usually one point, three for the pads of a brake with the disc between. */
export interface WalkStep {
  readonly id: string;
  /** Where the inspector stands: a station, or one wheel. */
  readonly stop: string;
  readonly station: Station;
  readonly points: readonly PointRef[];
}

/** What decides which points a visit has and in which order. */
export interface WalkPlan {
  readonly vehicle: Pick<Vehicle, 'class' | 'axles' | 'makeUp' | 'meterUnit'>;
  readonly template: Pick<Template, 'points'>;
  readonly house: Pick<HouseRules, 'beginWith'>;
  readonly focus: Inspection['focus'];
}

/** The cold gate comes first whatever the house begins with: it asks for an engine that has not run. */
const ORDERS: Record<HouseRules['beginWith'], readonly Station[]> = {
  cold: ['cold', 'bonnet', 'cabin', 'walk', 'wheel', 'under', 'plant', 'closing'],
  under: ['cold', 'under', 'wheel', 'bonnet', 'plant', 'cabin', 'walk', 'closing'],
  cabin: ['cold', 'cabin', 'walk', 'bonnet', 'wheel', 'under', 'plant', 'closing'],
};

/** The points a visit has, in walking order; wheels always round in the same direction. */
export function walkSteps({ vehicle, template, house, focus }: WalkPlan): WalkStep[] {
  const wanted = focus && new Set(focus);
  const refs = (station: Station, hub: Hub | null): PointRef[] =>
    template.points
      .filter((code) => cataloguePoint(code).station === station)
      .flatMap((code) => placesOf(code, vehicle, hub).map((place) => ({ point: code, place })))
      .filter(({ point, place }) => wanted?.has(pointKey(point, place)) ?? true);
  return ORDERS[house.beginWith].flatMap((station) =>
    station === 'wheel'
      ? hubPlaces(vehicle.axles).flatMap((hub) => stepsOf(station, hub, refs(station, hub)))
      : stepsOf(station, station, refs(station, null)),
  );
}

/** Every point the visit has, in walking order. */
export function visitPoints(plan: WalkPlan): PointRef[] {
  return walkSteps(plan).flatMap((step) => step.points);
}

/** Where a point lies on the vehicle: at one hub, or everywhere when `hub` is null. Empty where the vehicle does not have it. */
function placesOf(code: PointCode, vehicle: WalkPlan['vehicle'], hub: Hub | null): Place[] {
  const { repeats, fits } = cataloguePoint(code);
  const { axles } = vehicle;
  if (repeats === null) return hasFits(fits, vehicle, undefined) ? [''] : [];
  const hubs = (hub === null ? hubPlaces(axles) : [hub]).filter((at) => hasFits(fits, vehicle, axleAt(axles, at)));
  if (repeats === 'hub') return hubs;
  if (repeats === 'tyre') return hubs.flatMap((at) => tyresAtHub(axles, at));
  // A whole axle is judged at the second of its wheels, when both have been seen.
  return hubs.filter((at) => at === secondHub(axles, at)).flatMap((at) => axlePlaceOf(at) ?? []);
}

function secondHub(axles: Vehicle['axles'], hub: Place): Place | undefined {
  return hubPlaces(axles).filter((at) => axlePlaceOf(at) === axlePlaceOf(hub))[1];
}

function stepsOf(station: Station, stop: string, refs: readonly PointRef[]): WalkStep[] {
  const steps = new Map<string, PointRef[]>();
  for (const ref of refs) {
    const id = pointKey(cataloguePoint(ref.point).step, ref.place);
    steps.set(id, [...(steps.get(id) ?? []), ref]);
  }
  return [...steps].map(([id, points]) => ({ id, stop, station, points }));
}

/**
 * What *the rest of this station is sound* would say: its points that eye and hand judge and that nobody has judged yet.
 * Never one that wants a measure, a count, a leak or a code read.
 */
export function restOfStop(
  steps: readonly WalkStep[],
  stop: string,
  standing: ReadonlyMap<string, Finding>,
): PointRef[] {
  return steps
    .filter((step) => step.stop === stop)
    .flatMap((step) => step.points)
    .filter(({ point, place }) => {
      const finding = standing.get(pointKey(point, place));
      return soundByEye(cataloguePoint(point)) && (finding === undefined || finding.access === 'open');
    });
}
