import type { FleetKnowledge, Rules } from '@weskopos/core';
import { vehicleBoard, vehicleOutlook, type VehicleBoard } from '@weskopos/core/outlook';
import { ageingSeries, ageingToStore } from '@weskopos/core/states/ageScore';
import { judge, type Judgement } from '@weskopos/core/score/judge';
import { toStore, type StoredForecast } from '@weskopos/core/score/storedForecast';
import { allPartsOf } from '@weskopos/core/trends/partHistory';
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
  const { series, use, wear } = outlook;
  const wearing = new Set(outlook.parts.map(({ series: { key } }) => key));
  const judgeable = [...series, ...outlook.states.flatMap((trend) => ageingSeries(trend) ?? [])];
  return {
    board: vehicleBoard(vehicle, moments, outlook, fleet),
    histories: series.filter(({ key }) => wearing.has(key)).flatMap((one) => allPartsOf(vehicle, one)),
    meters: meterPoints(moments, entries, vehicle.meterUnit),
    judged: page.forecasts.map((forecast) => judge(forecast, judgeable)),
    forecasts: () => [
      ...outlook.parts.flatMap(
        ({ series: one, forecast, limit, across = [] }) =>
          toStore(vehicle, one, limit, forecast, { fleet, use, across, perhaps: wear?.perhaps }) ?? [],
      ),
      ...outlook.states.flatMap((trend) => ageingToStore(vehicle, trend) ?? []),
    ],
  };
}
