import {
  CATALOGUE,
  FORECAST_MEASURES,
  type LifeEntry,
  type TrendEntry,
  type Vehicle,
  type VisitMoment,
} from '@weskopos/core';
import type { StoredForecast } from '@weskopos/core/score/storedForecast';
import type { Queries } from '../db/engine';
import { readLifeEntries } from '../vehicles/readLifeEntries';
import { readVehicle } from '../vehicles/readVehicle';
import { readTrendEntries, type EntriesWanted } from './trendEntries';

/** All that trends are made of, of one vehicle: signed visits only. */
export interface VehiclePage {
  readonly vehicle: Vehicle;
  readonly moments: readonly VisitMoment[];
  /** Every entry that bears on what is forecast, those that stand and those that do not. */
  readonly looks: readonly TrendEntry[];
  readonly entries: readonly LifeEntry[];
  readonly forecasts: readonly StoredForecast[];
  /** Who made the visit after which each forecast was shown. */
  readonly forecastBy: readonly string[];
}

/** Points that bear on what is forecast or can leak: all their entries are fetched, since one that reads nothing may have taken the place of one that did. */
const WATCHED = CATALOGUE.filter(
  ({ measures, leakPlaces }) =>
    leakPlaces.length > 0 || measures.some(({ measure }) => FORECAST_MEASURES.includes(measure)),
).map(({ code }) => code);

/** Visits that are signed, and one that is about to be. */
const SIGNED = '(voided_at is null and (signed_at is not null or id = $2::uuid))';

/** Which entries a vehicle's page needs; `asSigned` a visit that counts as if it were signed. */
export function entriesOfVehicle(vehicleId: string, asSigned: string | null = null): EntriesWanted {
  return {
    which: `f.inspection_id in (select id from inspection where vehicle_id = $1 and ${SIGNED})
      and f.point in (select jsonb_array_elements_text($3::jsonb))`,
    values: [vehicleId, asSigned, JSON.stringify(WATCHED)],
    measures: FORECAST_MEASURES,
  };
}

interface MomentRow {
  readonly id: string;
  readonly started_at: string;
  readonly meter: number;
  readonly meter_answer: VisitMoment['meterAnswer'];
  readonly ambient_c: number | null;
}

/**
 * One vehicle as the fleet's sums take it; undefined when there is none by that id.
 *
 * @param asSigned a visit that counts as if it were signed
 */
export async function readVehiclePage(
  db: Queries,
  vehicleId: string,
  asSigned: string | null = null,
): Promise<VehiclePage | undefined> {
  const vehicle = await readVehicle(db, vehicleId);
  if (!vehicle) return undefined;
  const moments = await db.query<MomentRow>(
    `select id, started_at, meter, meter_answer, ambient_c from inspection where vehicle_id = $1 and ${SIGNED} order by started_at, id`,
    [vehicleId, asSigned],
  );
  const shown = await db.query<{ body: StoredForecast; inspector: string }>(
    `select f.body, p.name as inspector
     from forecast f join inspection i on i.id = f.inspection_id join person p on p.id = i.started_by
     where i.vehicle_id = $1 and i.voided_at is null`,
    [vehicleId],
  );
  return {
    vehicle,
    moments: moments.map(({ id, started_at, meter, meter_answer, ambient_c }) => ({
      id,
      startedAt: started_at,
      meter,
      meterAnswer: meter_answer,
      ambientC: ambient_c,
    })),
    looks: await readTrendEntries(db, entriesOfVehicle(vehicleId, asSigned)),
    entries: await readLifeEntries(db, vehicleId),
    forecasts: shown.map(({ body }) => body),
    forecastBy: shown.map(({ inspector }) => inspector),
  };
}
