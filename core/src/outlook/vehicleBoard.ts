import type { MeasureCode } from '../catalogue/measures';
import type { PointCode } from '../catalogue/catalogue';
import type { Spot } from '../catalogue/points/point';
import type { Basis } from '../limits/limitSheet';
import type { FleetKnowledge } from '../trends/fleetKnowledge';
import type { Range } from '../trends/forecast';
import { peersRate } from '../trends/partHistory';
import { lastFigure, type VisitMoment } from '../trends/series';
import { axleAt, type Place, type Vehicle } from '../vehicle/vehicle';
import type { ChangeNote, PartOutlook, VehicleOutlook } from './vehicleOutlook';
import type { LeakSpot } from './leakSpots';
import type { StateTrend } from '../states/stateTrends';

/** One part of one vehicle on the fleet's board, by the worst of its spots. */
export interface BoardPart {
  readonly key: string;
  readonly point: PointCode;
  readonly place: Place;
  readonly spot: Spot;
  readonly measure: MeasureCode;
  /** What is ordered for it: a tyre size, else empty. */
  readonly size: string;
  readonly value: number;
  readonly limit: number;
  readonly status: 'reached' | 'running-out' | 'far-off';
  readonly at: string;
  /** On whose authority it ends there. */
  readonly basis: Basis;
  /** Null for what ages by standing. */
  readonly distance: Range | null;
  readonly days: Range | null;
  /** Wear beside what its kind wears on the fleet: 1 is the same. */
  readonly besidePeers: number | null;
}

/** What the fleet board knows of one vehicle. */
export interface VehicleBoard {
  readonly vehicleId: string;
  readonly fleetCode: string;
  readonly name: string;
  readonly class: Vehicle['class'];
  readonly meterUnit: Vehicle['meterUnit'];
  readonly axles: number;
  readonly lastVisit: string | null;
  readonly nextVisit: string | null;
  readonly parts: readonly BoardPart[];
  readonly changes: readonly ChangeNote[];
  readonly leaks: readonly LeakSpot[];
}

/** A vehicle's line on the fleet board, the same on the server and on a device without network. */
export function vehicleBoard(
  vehicle: Vehicle,
  moments: readonly VisitMoment[],
  outlook: VehicleOutlook,
  fleet: FleetKnowledge,
): VehicleBoard {
  return {
    vehicleId: vehicle.id,
    fleetCode: vehicle.fleetCode,
    name: `${vehicle.make} ${vehicle.model}`.trim(),
    class: vehicle.class,
    meterUnit: vehicle.meterUnit,
    axles: vehicle.axles.length,
    lastVisit: moments.at(-1)?.startedAt ?? null,
    nextVisit: outlook.nextVisit,
    parts: [
      ...outlook.parts.flatMap((part) => wearingPart(vehicle, part, fleet) ?? []),
      ...outlook.states.flatMap((trend) => ageingPart(trend) ?? []),
    ],
    changes: outlook.changes,
    leaks: outlook.leaks.filter(({ fate }) => fate !== 'closed'),
  };
}

function wearingPart(
  vehicle: Vehicle,
  { series, forecast, limit, basis }: PartOutlook,
  fleet: FleetKnowledge,
): BoardPart | null {
  const value = lastFigure(series);
  if (value === undefined || forecast.status === 'needs-readings') return null;
  const { key, point, place, spot, measure } = series;
  const { status, at, distance, days, line, from } = forecast;
  const size = measure === 'tread' ? (axleAt(vehicle.axles, place)?.tyreSize ?? '') : '';
  const besidePeers = from === 'fleet' ? null : line.rate / peersRate(vehicle, series, fleet, line.value);
  return { key, point, place, spot, measure, size, value, limit, basis, status, at, distance, days, besidePeers };
}

function ageingPart({ key, point, place, measure, readings, limits, forecast }: StateTrend): BoardPart | null {
  const [last, edge] = [readings.at(-1), limits.find(({ grade }) => grade === 'fail')];
  if (!last || !edge || !forecast || forecast.status === 'needs-readings') return null;
  const { status, at, days, distance } = forecast;
  const told = { key, point, place, spot: 'whole', measure, size: '', value: last.value } as const;
  return { ...told, limit: edge.value, basis: edge.basis, status, at, distance, days, besidePeers: null };
}
