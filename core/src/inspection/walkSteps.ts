import { CATALOGUE, cataloguePoint, type PointCode, type Station } from '../catalogue/points';
import { axleAt, hubPlaces, tyresAtHub, type Axle, type Place } from '../vehicle/vehicle';

export interface PointRef {
  readonly point: PointCode;
  readonly place: Place;
}

/** What is shown at once: usually one point, two for the pads of a brake. */
export interface WalkStep {
  readonly id: string;
  /** Where the inspector stands: a station, or one wheel. */
  readonly stop: string;
  readonly station: Station;
  readonly points: readonly PointRef[];
}

/** The points the vehicle has, in walking order: cold gate, bonnet, wheels round in one direction, underside. */
export function walkSteps(axles: readonly Axle[]): WalkStep[] {
  const stations: Station[] = ['cold', 'bonnet', 'wheel', 'under'];
  return stations.flatMap((station) =>
    station === 'wheel'
      ? hubPlaces(axles).flatMap((hub) => stepsOf(station, hub, refsAtHub(axles, hub)))
      : stepsOf(station, station, refsAtStation(station)),
  );
}

/** Every point the vehicle has, in walking order. */
export function vehiclePoints(axles: readonly Axle[]): PointRef[] {
  return walkSteps(axles).flatMap((step) => step.points);
}

function refsAtStation(station: Station): PointRef[] {
  return CATALOGUE.filter((point) => point.station === station).map((point) => ({ point: point.code, place: '' }));
}

function refsAtHub(axles: readonly Axle[], hub: Place): PointRef[] {
  const drums = axleAt(axles, hub)?.brake === 'drum';
  const wheelPoints = CATALOGUE.filter((point) => point.station === 'wheel');
  const perTyre = tyresAtHub(axles, hub).flatMap((tyre) =>
    wheelPoints.filter((point) => point.repeats === 'tyre').map((point) => ({ point: point.code, place: tyre })),
  );
  const perHub = wheelPoints
    .filter((point) => point.repeats === 'hub' && !(drums && point.step === 'pads'))
    .map((point) => ({ point: point.code, place: hub }));
  return [...perTyre, ...perHub];
}

function stepsOf(station: Station, stop: string, refs: readonly PointRef[]): WalkStep[] {
  const steps = new Map<string, PointRef[]>();
  for (const ref of refs) {
    const id = `${cataloguePoint(ref.point).step}${ref.place ? `@${ref.place}` : ''}`;
    steps.set(id, [...(steps.get(id) ?? []), ref]);
  }
  return [...steps].map(([id, points]) => ({ id, stop, station, points }));
}
