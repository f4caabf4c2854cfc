import { HALF_80 } from '../sums/normal';
import type { Vehicle } from '../vehicle/vehicle';
import { askFor, worth } from '../wear/calibration';
import { STRAIGHT, bent, straightened, stretchAt, type DepthCurve } from '../wear/depthCurve';
import { readTogether } from '../wear/acrossPlaces';
import { priorFor, type PartHistory } from '../wear/fleetRates';
import { chanceByDay, dayOfChance, type UsageForecast } from '../wear/usageModel';
import type { PerhapsFaster, RateChange } from '../wear/rateChange';
import { firstCrossing, partBelief, partCalibration, partCrossing } from '../wear/partBelief';
import { chanceAt, crossingAt, type CrossingCurve } from '../wear/crossing';
import { stateOf } from '../wear/wearBelief';
import type { WearBelief } from '../wear/wearFilter';
import { BUILT_IN_FLEET, type FleetKnowledge } from './fleetKnowledge';
import { failing } from './heldUp';
import { METER_STEP, partHistory } from './partHistory';
import { lastKnown, type Series } from './series';

/** A quantity as the middle and the ends of its 80 % interval; an end that no plan reaches is null. */
export interface Range {
  readonly low: number;
  readonly mid: number | null;
  readonly high: number | null;
}

/** What is believed of the value around the last reading: a line with a spread that opens both ways. */
export interface ValueLine {
  /** Distance since the first visit that the line starts from, and the value believed there. */
  readonly travelled: number;
  readonly value: number;
  /** Loss per unit of the meter. */
  readonly rate: number;
  readonly valueVariance: number;
  readonly rateVariance: number;
  readonly covariance: number;
  /** How the line bends with depth; left out where it is straight. */
  readonly curve?: DepthCurve;
}

/** What is believed of a series from its last reading on. */
export interface Outlook {
  /** When the last reading was taken: days count from here. */
  readonly at: string;
  readonly line: ValueLine;
  /** Left from the last reading until the limit, in the meter's unit. */
  readonly distance: Range;
  /** The same in days; null where the meter's history is not known. */
  readonly days: Range | null;
  /**
   * Days after the last reading by which to look again, so that the chance to be caught under the limit stays below the
   * house's; 0 where it is above it now, null where there are no dates.
   */
  readonly lookAgain: number | null;
  /** Whether the part's own wear is behind it, only what the fleet wears, or general figures where nothing was learned yet. */
  readonly from: 'readings' | 'fleet' | 'general';
  /** That it may wear faster than before, and how likely that is, as the range has it; left out where hardly anything says so. */
  readonly perhaps?: Pick<PerhapsFaster, 'factor' | 'chance'>;
  /** How often ranges of its kind held, 0 to 1, told where that is seldomer than they promise; left out where they do. */
  readonly held?: number;
  /** The last reading is unlike what the ones before told: 0 to 1. */
  readonly odd: number;
}

/** What a series is believed to do, or why nothing can be said. */
export type Forecast =
  | { readonly status: 'needs-readings'; readonly have: number; readonly want: number }
  | ({ readonly status: 'reached' | 'running-out' | 'far-off' } & Outlook);

/** What a forecast leans on besides its own series. */
export interface ForecastGiven {
  readonly vehicle: Pick<Vehicle, 'id' | 'class' | 'use' | 'meterUnit'>;
  readonly fleet?: FleetKnowledge;
  /** How the vehicle is used now; without it there are no dates. */
  readonly use?: UsageForecast | null;
  /** Chance to be caught under the limit that the house bears, over 0 to 1. */
  readonly bears?: number;
  /** The other places across the same part: it is at its end where the first of them is. */
  readonly across?: readonly Series[];
  /** What may wear faster than before, by series: told by all that is read on the vehicle. */
  readonly perhaps?: RateChange['perhaps'] | undefined;
}

/** What a house bears that was not asked. */
const USUAL_BEARS = 0.2;

const LEAST_READINGS = 1;
/** Where even the early end lies beyond this many steps of the meter, nobody plans by it. */
const FAR_STEPS = 400;
const FAR_DAYS = 30 * 365;

/** What is believed of the part that sits at the series' place now, by all places across it where they are given. */
export function beliefOf(
  series: Series,
  {
    vehicle,
    fleet = BUILT_IN_FLEET,
    across = [],
    perhaps,
  }: Pick<ForecastGiven, 'vehicle' | 'fleet' | 'across' | 'perhaps'>,
): { readonly part: PartHistory; readonly belief: WearBelief } {
  const own = partHistory(vehicle, series);
  const others = across.filter((one) => one.key !== series.key).map((one) => partHistory(vehicle, one));
  const part = readTogether(own, others, priorFor(fleet.rates, own).handU);
  return { part, belief: partBelief(fleet.rates, part, perhaps?.get(series.key)) };
}

/** When the first place across the part meets the limit, counted from the last look at `series`. */
export function crossingOf(
  series: Series,
  limit: number,
  given: Pick<ForecastGiven, 'vehicle' | 'fleet' | 'across' | 'perhaps'>,
  known?: ReturnType<typeof beliefOf>,
): CrossingCurve {
  const { fleet = BUILT_IN_FLEET, across = [] } = given;
  const at = lastKnown(series)?.travelled;
  const together = [series, ...across.filter((one) => one !== series && lastKnown(one)?.travelled === at)];
  return firstCrossing(
    together.map((one) => {
      const { part, belief } = (one === series && known) || beliefOf(one, given);
      return partCrossing(fleet.rates, part, limit, { belief, perhaps: given.perhaps?.get(one.key) });
    }),
  );
}

/**
 * When a wear series meets `limit`: the part's own readings, what is known of it when fitted, and what the fleet wears.
 * Says what it needs rather than a bare figure of nothing. Only for wear measures.
 *
 * @param limit fail limit in the measure's unit; wear falls towards it
 */
export function forecastOf(series: Series, limit: number, given: ForecastGiven): Forecast {
  const fleet = given.fleet ?? BUILT_IN_FLEET;
  const step = METER_STEP[given.vehicle.meterUnit];
  const last = lastKnown(series);
  if (!last) return { status: 'needs-readings', have: 0, want: LEAST_READINGS };
  const believed = beliefOf(series, given);
  const { part, belief } = believed;
  const curve = crossingOf(series, limit, given, believed);
  const ask = (chance: number) => askFor(partCalibration(fleet, part), chance);
  const finite = (x: number) => (Number.isFinite(x) ? x * step : null);
  const low = crossingAt(curve, ask(0.1));
  const byDistance = (ahead: number) => chanceAt(curve, ahead);
  const outlook: Outlook = {
    at: last.at,
    line: lineOf(belief, last.travelled, step),
    distance: {
      low: Math.min(low, FAR_STEPS) * step,
      mid: finite(crossingAt(curve, ask(0.5))),
      high: finite(crossingAt(curve, ask(0.9))),
    },
    days: given.use ? daysOf(given.use, byDistance, ask) : null,
    lookAgain: given.use
      ? Math.min(FAR_DAYS, dayOfChance(given.use, ask(given.bears ?? USUAL_BEARS), byDistance))
      : null,
    from: part.readings.length + (part.fitted ? 1 : 0) >= 2 ? 'readings' : fleet.rates[part.kind] ? 'fleet' : 'general',
    ...failing(fleet.held[part.kind]),
    ...faster(given.perhaps?.get(series.key)),
    odd: belief.odd,
  };
  if (!('bound' in last) && last.value < limit) return { status: 'reached', ...outlook };
  return { status: low > FAR_STEPS || outlook.distance.mid === null ? 'far-off' : 'running-out', ...outlook };
}

/** From this chance on a change that may have come is told. */
const TOLD_CHANCE = 0.2;

const faster = (perhaps: PerhapsFaster | undefined): Pick<Outlook, 'perhaps'> =>
  perhaps && perhaps.chance >= TOLD_CHANCE ? { perhaps: { factor: perhaps.factor, chance: perhaps.chance } } : {};

function lineOf(belief: WearBelief, travelled: number, step: number): ValueLine {
  const { value: straight, rate, valueSd, rateSd, covariance } = stateOf(belief);
  const curve = belief.prior.curve ?? STRAIGHT;
  const value = bent(curve, straight);
  const stretch = stretchAt(curve, value);
  return {
    travelled,
    value,
    rate: rate / step / stretch,
    valueVariance: (valueSd / stretch) ** 2,
    rateVariance: (rateSd / step / stretch) ** 2,
    covariance: covariance / step / stretch ** 2,
    ...(curve.power === 0 ? {} : { curve }),
  };
}

/** The line alone, without when it meets anything; undefined before anything is known of the part. */
export function wearLine(
  series: Series,
  given: Pick<ForecastGiven, 'vehicle' | 'fleet' | 'perhaps'>,
): ValueLine | undefined {
  const last = lastKnown(series);
  if (!last) return undefined;
  const { belief } = beliefOf(series, given);
  return lineOf(belief, last.travelled, METER_STEP[given.vehicle.meterUnit]);
}

function daysOf(use: UsageForecast, byDistance: (ahead: number) => number, ask: (chance: number) => number): Range {
  const finite = (days: number) => (Number.isFinite(days) ? days : null);
  return {
    low: Math.min(FAR_DAYS, dayOfChance(use, ask(0.1), byDistance)),
    mid: finite(dayOfChance(use, ask(0.5), byDistance)),
    high: finite(dayOfChance(use, ask(0.9), byDistance)),
  };
}

/** Chance that the limit is met within so many days of the last reading, by what forecasts of its kind were worth. */
export function chanceWithin(
  series: Series,
  limit: number,
  given: ForecastGiven & { readonly use: UsageForecast },
  days: number,
): number {
  const fleet = given.fleet ?? BUILT_IN_FLEET;
  const curve = crossingOf(series, limit, given);
  const chance = chanceByDay(given.use, days, (ahead) => chanceAt(curve, ahead));
  return worth(partCalibration(fleet, partHistory(given.vehicle, series)), chance);
}

/** What a line expects at a distance since the first visit, and the ends of its 80 %. */
export function expectedAt(
  line: ValueLine,
  travelled: number,
): { readonly y: number; readonly low: number; readonly high: number } {
  const ahead = travelled - line.travelled;
  const curve = line.curve ?? STRAIGHT;
  const stretch = stretchAt(curve, line.value);
  const variance = line.valueVariance - 2 * ahead * line.covariance + ahead ** 2 * line.rateVariance;
  const straight = straightened(curve, line.value) - line.rate * stretch * ahead;
  const half = HALF_80 * Math.sqrt(Math.max(0, variance)) * stretch;
  return { y: bent(curve, straight), low: bent(curve, straight - half), high: bent(curve, straight + half) };
}
