import { chanceOfOdds } from '../sums/chanceOfOdds';
import type { HouseRules } from '../house/houseRules';
import type { MeasureCode } from '../catalogue/measures';
import type { PointCode } from '../catalogue/catalogue';
import type { Spot } from '../catalogue/points/point';
import type { LifeEntry } from '../parts/lifeEntry';
import { wearEnd, forecastSeries, type RunOut } from '../trends/runOut';
import { runsOut } from '../trends/runsOut';
import { wearWatch } from '../trends/wearWatch';
import type { Rules } from '../rules/rulebook';
import type { FleetKnowledge } from '../trends/fleetKnowledge';
import { chanceWithin } from '../trends/forecast';
import { METER_STEP } from '../trends/partHistory';
import { lastFigure, lastKnown, seriesFrom, type Series, type VisitMoment } from '../trends/series';
import { leakLooks, rawReadings, standingLooks, type RawReading, type TrendEntry } from '../trends/standingLooks';
import { usageFrom } from '../trends/usageOf';
import type { Vehicle, Place } from '../vehicle/vehicle';
import type { UsageForecast } from '../wear/usageModel';
import { findSlowLoss } from '../wear/pressureLoss';
import { TOLD_FROM, type ChangeScope, type RateChange } from '../wear/rateChange';
import { groupBy } from '../sums/groupBy';
import { daysBetween } from '../sums/daysBetween';
import { stateTrends, type StateTrend } from '../states/stateTrends';
import { nextVisitOf } from './nextVisit';
import { leakSpots, type LeakSpot } from './leakSpots';
import { pressureLosses } from './pressureLosses';
import { usageChanges, type UsageChange } from './usageChanges';

/** What a vehicle's outlook is made from. */
export interface OutlookGiven {
  readonly vehicle: Vehicle;
  /** Signed visits only. */
  readonly moments: readonly VisitMoment[];
  /** Every entry of these visits, those that stand and those that do not. */
  readonly looks: readonly TrendEntry[];
  readonly entries: readonly LifeEntry[];
  readonly rules: Rules;
  readonly fleet: FleetKnowledge;
}

/** Something that goes on differently from before, and how sure that is. */
export type ChangeNote =
  | {
      readonly kind: 'wear';
      readonly scope: ChangeScope;
      /** Of what acts on one place only, what is read there. */
      readonly point: PointCode | null;
      readonly measures: readonly MeasureCode[];
      readonly places: readonly Place[];
      /** Where across the part, of one that wears at one place more. */
      readonly spot: Spot;
      readonly factor: number;
      /** Last visit that still fits the wear of before. */
      readonly since: string;
      readonly sureness: number;
    }
  | {
      readonly kind: 'pressure';
      readonly place: Place;
      readonly kpaPerMonth: number;
      readonly since: string;
      readonly sureness: number;
    }
  | UsageChange;

/** One part's forecast, and the chance that it meets its limit before the vehicle comes again; null where that is not known. */
export type PartOutlook = RunOut & { readonly beforeNext: number | null };

/** What a vehicle is coming to. */
export interface VehicleOutlook {
  /** One forecast for each part, by the worst of its spots, soonest first. */
  readonly parts: readonly PartOutlook[];
  readonly changes: readonly ChangeNote[];
  readonly leaks: readonly LeakSpot[];
  /** Pressures, levels, mixtures, and what ages by itself; most urgent first. */
  readonly states: readonly StateTrend[];
  /** When it would come again if it goes on as it did; null before there is a pace. */
  readonly nextVisit: string | null;
  /** Whether anything wears faster than before, however unlikely; null before anything was looked at twice. */
  readonly wear: RateChange | null;
  /** Every series it was told from, and how the vehicle is used now; null before its meter was read. */
  readonly series: readonly Series[];
  readonly use: UsageForecast | null;
}

/** Everything a vehicle's signed visits and entries say of what comes. */
export function vehicleOutlook({ vehicle, moments, looks, entries, rules, fleet }: OutlookGiven): VehicleOutlook {
  const standing = standingLooks(looks);
  const raw = rawReadings(standing, { vehicle, house: rules.house });
  const series = seriesFrom(moments, raw, entries);
  const use = usageFrom(moments, entries, vehicle.meterUnit, fleet.use);
  const nextVisit = nextVisitOf(moments);
  const partOf = ({ point, place, measure }: Series) => [point, place, measure].join();
  const spots = groupBy(series, partOf);
  const across = (one: Series) => spots.get(partOf(one)) ?? [];
  const wear = wearWatch(vehicle, series, fleet);
  const perhaps = wear?.perhaps;
  const parts = forecastSeries(vehicle, worstSpots(vehicle, series, rules), rules, { fleet, use, perhaps }, across);
  return {
    parts: parts.map((part) => {
      const last = lastKnown(part.series);
      const days = nextVisit && last ? daysBetween(last.at, nextVisit) : null;
      const told = use !== null && days !== null && part.forecast.status === 'running-out';
      return {
        ...part,
        beforeNext: told
          ? chanceWithin(part.series, part.limit, { vehicle, fleet, use, perhaps, across: part.across ?? [] }, days)
          : null,
      };
    }),
    changes: [
      ...wearNotes(wear, series, METER_STEP[vehicle.meterUnit]),
      ...pressureNotes(moments, raw, rules.house),
      ...(vehicle.meterUnit === 'km' ? usageChanges(entries) : []),
    ],
    leaks: leakSpots(leakLooks(standing, new Map(moments.map(({ id, startedAt }) => [id, startedAt])))),
    states: stateTrends({ vehicle, moments, raw, entries, rules, nextVisit, fleet }),
    nextVisit,
    wear,
    series,
    use,
  };
}

/** Of each point the series nearest its limit: the others of a part run out later. */
export function worstSpots(vehicle: Vehicle, series: readonly Series[], rules: Rules): Series[] {
  const worst = new Map<string, { series: Series; left: number }>();
  for (const one of series) {
    const last = lastFigure(one);
    const limit = runsOut(one) ? (wearEnd(vehicle, one, rules)?.value ?? null) : null;
    if (last === undefined || limit === null) continue;
    const key = `${one.point}@${one.place}`;
    const left = last - limit;
    if (left < (worst.get(key)?.left ?? Infinity)) worst.set(key, { series: one, left });
  }
  return [...worst.values()].map((one) => one.series);
}

function wearNotes(wear: RateChange | null, series: readonly Series[], step: number): ChangeNote[] {
  if (!wear || wear.odds < TOLD_FROM) return [];
  const struck = series.filter(({ key }) => wear.ids.includes(key));
  const [first] = struck;
  if (!first) return [];
  const { scope, places, factor, sureness } = wear;
  const since = first.ofPart.findLast(({ travelled }) => travelled / step <= wear.sinceX) ?? first.ofPart[0];
  return [
    {
      kind: 'wear',
      scope,
      point: scope === 'spot' ? first.point : null,
      measures: [...new Set(struck.map(({ measure }) => measure))],
      places,
      spot: scope === 'spot' ? first.spot : 'whole',
      factor,
      since: since?.at ?? '',
      sureness,
    },
  ];
}

function pressureNotes(
  moments: readonly VisitMoment[],
  raw: readonly RawReading[],
  { altitudeM }: Pick<HouseRules, 'altitudeM'>,
): ChangeNote[] {
  const ordered = [...moments].sort((a, b) => a.startedAt.localeCompare(b.startedAt));
  const loss = findSlowLoss((stretches) => pressureLosses(ordered, raw, altitudeM, stretches));
  if (!loss || loss.odds < TOLD_FROM) return [];
  return [
    {
      kind: 'pressure',
      place: loss.place,
      kpaPerMonth: loss.perMonth,
      since: ordered.at(-1 - loss.stretches)?.startedAt ?? ordered[0]?.startedAt ?? '',
      sureness: chanceOfOdds(loss.odds),
    },
  ];
}
