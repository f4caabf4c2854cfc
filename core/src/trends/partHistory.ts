import { axlePlaceOf, isOnRoad } from '../vehicle/place';
import { MEASURES } from '../catalogue/measures';
import type { Vehicle } from '../vehicle/vehicle';
import { STRAIGHT, stretchAt } from '../wear/depthCurve';
import { BY_HOURS, priorFor, type PartHistory } from '../wear/fleetRates';
import type { FleetKnowledge } from './fleetKnowledge';
import { groupBy } from '../sums/groupBy';
import type { Series, SeriesBound } from './series';

/** What one step of x is in the meter's unit: wear per 1000 km and per 25 h lie near each other. */
export const METER_STEP = { km: 1000, h: 25 } as const;

/** How far a new part may lie from what it is said to be when new, share of a gauge's range. */
const FRESH_SPREAD = 0.03;

/** What a vehicle's part is called among the fleet's: parts of one name wear alike. */
export function partName(
  vehicle: Pick<Vehicle, 'id' | 'class' | 'use' | 'meterUnit'>,
  { measure, place }: Pick<Series, 'measure' | 'place'>,
): Pick<PartHistory, 'vehicle' | 'kind' | 'axle' | 'cell'> {
  const kind = vehicle.meterUnit === 'h' ? `${measure}${BY_HOURS}` : measure;
  const axle = `${kind} ${axlePlaceOf(place) ?? ''}`;
  return { vehicle: vehicle.id, kind, axle, cell: `${axle} ${vehicle.class} ${vehicle.use}` };
}

/** The part that sits at the series' place now, as the wear model takes it. */
export function partHistory(vehicle: Pick<Vehicle, 'id' | 'class' | 'use' | 'meterUnit'>, series: Series): PartHistory {
  const step = METER_STEP[vehicle.meterUnit];
  const { fitted, ofPart, bounds = [], measure, before, sets } = series;
  const [least, most] = MEASURES[measure].tape;
  return {
    id: `${vehicle.id} ${ofPart.at(-1)?.part ?? series.key}`,
    ...partName(vehicle, series),
    fitted: fitted && { x: fitted.travelled / step, fresh: fitted.fresh, sigma: FRESH_SPREAD * (most - least) },
    readings: wearReadings(ofPart, step, bounds),
    ...(before
      ? {
          before: before.map(({ place, until }) => ({
            axle: isOnRoad(place) ? partName(vehicle, { measure, place }).axle : null,
            until: until / step,
          })),
        }
      : {}),
    ...(sets
      ? {
          sets: {
            changes: sets.changes.map((x) => x / step),
            halfYear: sets.halfYear === null ? null : sets.halfYear / step,
          },
        }
      : {}),
  };
}

/** Every part that was read at the series' place, those long gone too. */
export function allPartsOf(
  vehicle: Pick<Vehicle, 'id' | 'class' | 'use' | 'meterUnit'>,
  series: Series,
): PartHistory[] {
  const now = partHistory(vehicle, series);
  const { before: _before, sets: _sets, ...here } = now;
  const gone = groupBy(
    series.readings.filter(({ part }) => part !== series.ofPart.at(-1)?.part),
    ({ part }) => part,
  );
  return [
    now,
    ...[...gone].map(([part, readings]) => ({
      ...here,
      id: `${vehicle.id} ${part}`,
      fitted: null,
      readings: wearReadings(readings, METER_STEP[vehicle.meterUnit]),
    })),
  ];
}

function wearReadings(
  readings: Series['readings'],
  step: number,
  bounds: readonly SeriesBound[] = [],
): PartHistory['readings'] {
  const exact = readings.map(
    ({ travelled, value, u }) => ({ x: travelled / step, y: value, u, bound: 'exact' }) as const,
  );
  if (bounds.length === 0) return exact;
  const told = bounds.map(
    ({ travelled, value, u, bound }) =>
      ({ x: travelled / step, y: value, u, bound: bound === 'over' ? 'above' : 'below' }) as const,
  );
  return [...exact, ...told].sort((a, b) => a.x - b.x);
}

/** What such parts usually wear on the fleet at a depth, this vehicle's own habit left out: loss per unit of the meter. */
export function peersRate(
  vehicle: Pick<Vehicle, 'id' | 'class' | 'use' | 'meterUnit'>,
  series: Pick<Series, 'measure' | 'place'>,
  { rates }: Pick<FleetKnowledge, 'rates'>,
  value: number,
): number {
  const { mu, curve = STRAIGHT } = priorFor(rates, { ...partName(vehicle, series), vehicle: '' });
  return Math.exp(mu) / METER_STEP[vehicle.meterUnit] / stretchAt(curve, value);
}
