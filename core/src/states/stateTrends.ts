import type { MeasureCode } from '../catalogue/measures';
import type { PointCode } from '../catalogue/catalogue';
import { CHARGED_V } from '../vehicle/specSheet';
import { coldPressureAtReference } from '../grading/pressureAtReference';
import { rowsFor } from '../limits/rowsFor';
import type { Threshold } from '../limits/limitSheet';
import { entriesOf, standingEntries, type LifeEntry } from '../parts/lifeEntry';
import type { Rules } from '../rules/rulebook';
import { daysBetween } from '../sums/daysBetween';
import { BUILT_IN_FLEET, calibrationOf, type FleetKnowledge } from '../trends/fleetKnowledge';
import type { RawReading } from '../trends/standingLooks';
import { seriesKey, type VisitMoment } from '../trends/series';
import type { Vehicle, Place } from '../vehicle/vehicle';
import { groupBy } from '../sums/groupBy';
import { AGE_SHAPES, agesByTime } from './ageShapes';
import { DAYS_PER_MONTH, ageForecast, type AgeForecast } from './ageForecast';

/** One look at a state, in the terms its limits are told in: a pressure at 20 °C, a battery as a share of its rating. */
export interface StateReading {
  readonly inspectionId: string;
  readonly at: string;
  readonly value: number;
  readonly u: number;
  readonly phase: RawReading['phase'];
  /** Topped up, inflated or renewed before: what was lost is told from here. */
  readonly startsLine: boolean;
}

/** What goes both ways, over time: pressures, levels, mixtures, and what ages without being driven. */
export interface StateTrend {
  readonly key: string;
  readonly point: PointCode;
  readonly place: Place;
  readonly measure: MeasureCode;
  /** What the figures are: as the gauge tells, brought to 20 °C, or a share of what is rated. */
  readonly told: 'as-read' | 'at-20' | 'of-rated';
  readonly readings: readonly StateReading[];
  readonly limits: readonly Threshold[];
  /** Lost a month since it was last put right; null where it is not told from none. */
  readonly lostPerMonth: number | null;
  /** Only for what ages by itself. */
  readonly forecast: AgeForecast | null;
}

/** What the trends of states are made from. */
export interface StatesGiven {
  readonly vehicle: Vehicle;
  readonly moments: readonly VisitMoment[];
  readonly raw: readonly RawReading[];
  readonly entries: readonly LifeEntry[];
  readonly rules: Rules;
  readonly nextVisit: string | null;
  readonly fleet?: FleetKnowledge;
}

const SHOWN: readonly MeasureCode[] = ['pressure', 'level', 'glycol', 'water', 'crank'];
/** A change is told from none by this many standard deviations, over at least so many days. */
const TOLD_SIGMAS = 2;
const LEAST_DAYS = 20;

/** Every state of a vehicle over its signed visits; what runs out soonest first, then what loses, then the rest. */
export function stateTrends(given: StatesGiven): StateTrend[] {
  const { vehicle, moments, raw } = given;
  const byId = new Map(moments.map((moment) => [moment.id, moment]));
  const rest = new Map(
    raw
      .filter(({ measure }) => measure === 'rest-voltage')
      .map(({ inspectionId, value }) => [inspectionId, (value * 12) / vehicle.spec.systemVolts]),
  );
  const usable = raw.flatMap((reading) => {
    const moment = byId.get(reading.inspectionId);
    if (!moment || !SHOWN.includes(reading.measure) || reading.point === 'walk.spare') return [];
    if (reading.measure === 'crank' && (rest.get(moment.id) ?? CHARGED_V) < CHARGED_V) return [];
    const told = inTermsOfItsLimits(reading, moment, vehicle, given.rules.house.altitudeM);
    return told ? [told] : [];
  });
  const trends = [
    ...groupBy(usable, ({ raw: { point, place, spot, measure } }) => seriesKey(point, place, spot, measure)),
  ];
  const urgency = ({ forecast, lostPerMonth }: StateTrend) => {
    if (forecast?.status === 'reached') return -1;
    if (forecast?.status === 'running-out') return forecast.days.mid ?? forecast.days.low;
    return lostPerMonth === null ? 2e6 : 1e6;
  };
  return trends.map(([key, looks]) => trendOf(key, looks, given)).sort((a, b) => urgency(a) - urgency(b));
}

interface Look {
  readonly raw: RawReading;
  readonly at: string;
  readonly value: number;
  readonly u: number;
}

function inTermsOfItsLimits(raw: RawReading, moment: VisitMoment, { spec }: Vehicle, altitudeM: number): Look | null {
  const at = moment.startedAt;
  if (raw.measure === 'pressure') {
    return { raw, at, value: coldPressureAtReference(raw.value, moment.ambientC, altitudeM), u: raw.u };
  }
  if (raw.measure !== 'crank') return { raw, at, value: raw.value, u: raw.u };
  const { ratedA } = spec.battery;
  return ratedA === null ? null : { raw, at, value: raw.value / ratedA, u: raw.u / ratedA };
}

function trendOf(key: string, looks: readonly Look[], given: StatesGiven): StateTrend {
  const { vehicle, entries, rules, nextVisit, fleet = BUILT_IN_FLEET } = given;
  const ordered = [...looks].sort((a, b) => a.at.localeCompare(b.at) || a.raw.phase.localeCompare(b.raw.phase));
  const { point, place, measure } = ordered[0]?.raw as RawReading;
  const fills = startsOf(measure, entries);
  const readings: StateReading[] = [];
  for (const { raw, at, value, u } of ordered) {
    const before = readings.at(-1);
    const filled = before !== undefined && fills.some((fill) => fill > before.at && fill <= at);
    const renewed = before !== undefined && agesByTime(measure) && looksRenewed(measure, value, u, before);
    const startsLine = raw.phase === 'left' || filled || renewed;
    readings.push({ inspectionId: raw.inspectionId, at, value, u, phase: raw.phase, startsLine });
  }
  const ofLine = readings.slice(
    Math.max(
      0,
      readings.findLastIndex((reading) => reading.startsLine),
    ),
  );
  const scope = { vehicle, house: rules.house, at: ordered.at(-1)?.at ?? '' };
  const limits = rowsFor(rules.sheet, measure, point, place, scope)
    .filter(({ kind }) => kind === (measure === 'crank' ? 'rated-share' : 'value'))
    .flatMap(({ thresholds }) => thresholds);
  const fail = limits.find(({ grade }) => grade === 'fail')?.value;
  const since = fills.findLast((fill) => fill <= (ofLine[0]?.at ?? '')) ?? null;
  return {
    key,
    point,
    place,
    measure,
    told: measure === 'pressure' ? 'at-20' : measure === 'crank' ? 'of-rated' : 'as-read',
    readings,
    limits,
    lostPerMonth: agesByTime(measure) ? null : lossOf(ofLine),
    forecast:
      agesByTime(measure) && fail !== undefined
        ? ageForecast(AGE_SHAPES[measure], fail, ofLine, since, {
            bears: rules.house.lookAhead,
            nextVisit,
            calibration: calibrationOf(fleet, measure),
            held: fleet.held[measure],
          })
        : null,
  };
}

/** When what is read was renewed, by what was written down. */
function startsOf(measure: MeasureCode, entries: readonly LifeEntry[]): string[] {
  const standing = standingEntries(entries);
  if (measure === 'water')
    return entriesOf(standing, 'job').flatMap(({ job, at }) => (job.code === 'brake-fluid' ? [at] : []));
  if (measure === 'crank')
    return entriesOf(standing, 'fit').flatMap(({ what, at }) => (what === 'battery' ? [at] : []));
  return [];
}

/** What ages gets no better by itself. */
function looksRenewed(measure: keyof typeof AGE_SHAPES, value: number, u: number, before: StateReading): boolean {
  const { yOf, perValue } = AGE_SHAPES[measure];
  return yOf(value) - yOf(before.value) > 3 * Math.hypot(u, before.u) * perValue;
}

/** From the first look of a line to its last, where that is told from no change. */
function lossOf(line: readonly StateReading[]): number | null {
  const [first, last] = [line[0], line.at(-1)];
  if (!first || !last) return null;
  const days = daysBetween(first.at, last.at);
  const lost = first.value - last.value;
  if (days < LEAST_DAYS || lost <= TOLD_SIGMAS * Math.hypot(first.u, last.u)) return null;
  return (lost / days) * DAYS_PER_MONTH;
}

/**
 * Litres of plain water that may still take the place of lost mixture before its share falls under `limit`: each litre
 * lost takes its share along, `share · e^(−litres/capacity)`.
 *
 * @param share of glycol now, %, over `limit`; `capacity` of the system in litres
 */
export function litresUntilThin(share: number, limit: number, capacity: number): number {
  if (!(share > 0 && limit > 0 && capacity > 0)) throw new RangeError('shares and capacity must be over 0');
  return Math.max(0, capacity * Math.log(share / limit));
}
