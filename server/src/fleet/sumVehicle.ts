import type { BoardPart, VehicleBoard } from '@weskopos/contract';
import { axleAt, type FleetKnowledge, type Rules } from '@weskopos/core';
import { vehicleOutlook } from '@weskopos/core/outlook';
import { ageingSeries, ageingToStore } from '@weskopos/core/states/ageScore';
import { judge, type Judgement } from '@weskopos/core/score/judge';
import { toStore, type StoredForecast } from '@weskopos/core/score/storedForecast';
import { allPartsOf, peersRate } from '@weskopos/core/trends/partHistory';
import { lastFigure } from '@weskopos/core/trends/series';
import { meterPoints } from '@weskopos/core/trends/usageOf';
import type { PartHistory } from '@weskopos/core/wear/fleetRates';
import type { MeterPoint } from '@weskopos/core/wear/usageModel';
import type { VehiclePage } from './vehiclePages';

/** What one vehicle gives the fleet, and gets from it. */
export interface VehicleSum {
  readonly board: VehicleBoard;
  readonly histories: readonly PartHistory[];
  readonly meters: readonly MeterPoint[];
  readonly judged: readonly Judgement[];
  /** The forecasts as they are shown after the last signed visit, to go on record: made when asked for. */
  readonly forecasts: () => readonly StoredForecast[];
}

/** Sums up one vehicle by what the fleet has taught so far. */
export function sumVehicle(page: VehiclePage, rules: Rules, fleet: FleetKnowledge): VehicleSum {
  const { vehicle, moments, looks, entries } = page;
  const outlook = vehicleOutlook({ vehicle, moments, looks, entries, rules, fleet });
  const { series, use } = outlook;
  const wearing = new Set(outlook.parts.map(({ series: { key } }) => key));
  const parts = outlook.parts.flatMap(({ series: one, forecast, limit, basis }): BoardPart[] => {
    const value = lastFigure(one);
    if (value === undefined || forecast.status === 'needs-readings') return [];
    const { key, point, place, spot, measure } = one;
    const { status, at, distance, days, line, from } = forecast;
    return [
      {
        key,
        point,
        place,
        spot,
        measure,
        size: measure === 'tread' ? (axleAt(vehicle.axles, place)?.tyreSize ?? '') : '',
        value,
        limit,
        basis,
        status,
        at,
        distance,
        days,
        besidePeers: from === 'fleet' ? null : line.rate / peersRate(vehicle, one, fleet),
      },
    ];
  });
  const ageing = outlook.states.flatMap(({ key, point, place, measure, readings, limits, forecast }): BoardPart[] => {
    const [last, edge] = [readings.at(-1), limits.find(({ grade }) => grade === 'fail')];
    if (!last || !edge || !forecast || forecast.status === 'needs-readings') return [];
    const { status, at, days, distance } = forecast;
    const told = { key, point, place, spot: 'whole', measure, size: '', value: last.value } as const;
    return [{ ...told, limit: edge.value, basis: edge.basis, status, at, distance, days, besidePeers: null }];
  });
  const judgeable = [...series, ...outlook.states.flatMap((trend) => ageingSeries(trend) ?? [])];
  return {
    board: {
      vehicleId: vehicle.id,
      fleetCode: vehicle.fleetCode,
      name: `${vehicle.make} ${vehicle.model}`.trim(),
      class: vehicle.class,
      meterUnit: vehicle.meterUnit,
      axles: vehicle.axles.length,
      lastVisit: moments.at(-1)?.startedAt ?? null,
      nextVisit: outlook.nextVisit,
      parts: [...parts, ...ageing],
      changes: [...outlook.changes],
      leaks: outlook.leaks.filter(({ fate }) => fate !== 'closed'),
    },
    histories: series.filter(({ key }) => wearing.has(key)).flatMap((one) => allPartsOf(vehicle, one)),
    meters: meterPoints(moments, entries, vehicle.meterUnit),
    judged: page.forecasts.map((forecast) => judge(forecast, judgeable)),
    forecasts: () => [
      ...outlook.parts.flatMap(
        ({ series: one, forecast, limit }) => toStore(vehicle, one, limit, forecast, { fleet, use }) ?? [],
      ),
      ...outlook.states.flatMap((trend) => ageingToStore(vehicle, trend) ?? []),
    ],
  };
}
