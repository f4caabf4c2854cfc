import type { LeakLook, LifeEntry, RawReading, Vehicle, VisitMoment } from '@weskopos/core';
import { MEASURES, standardUncertainty } from '@weskopos/core';
import type { StoredForecast } from '@weskopos/core/src/score/storedForecast';
import type { Queries } from '../db/engine';
import { readLifeEntries } from '../vehicles/readLifeEntries';
import { vehicleFrom, type VehicleRow } from '../vehicles/vehicleRow';

/** All that trends are made of, of one vehicle: signed visits only. */
export interface VehiclePage {
  readonly vehicle: Vehicle;
  readonly moments: readonly VisitMoment[];
  readonly readings: readonly ReadingRow[];
  readonly leaks: readonly LeakLook[];
  readonly entries: readonly LifeEntry[];
  readonly forecasts: readonly StoredForecast[];
  /** Who made the visit after which each forecast was shown. */
  readonly forecastBy: readonly string[];
}

/** One value as it stands in the table: repeats are rows of their own. */
export interface ReadingRow {
  readonly inspection_id: string;
  readonly point: RawReading['point'];
  readonly place: string;
  readonly spot: RawReading['spot'];
  readonly measure: RawReading['measure'];
  readonly phase: RawReading['phase'];
  readonly value: number;
  readonly bound: 'exact' | 'over' | 'under';
}

/** The readings trends are made of: what wears, pressures, and what ages. What stands only, nothing carried; bounds of what wears. */
export const READINGS_OF_VEHICLE = `
  select f.inspection_id, f.point, f.place, r.spot, r.measure, r.phase, r.value, r.bound
  from inspection i join finding f on f.inspection_id = i.id join reading r on r.finding_id = f.id
  where i.vehicle_id = $1 and i.signed_at is not null and f.carried_at is null
    and (r.bound = 'exact' or r.measure in ('tread', 'lining', 'shoe', 'disc'))
    and (r.measure in ('tread', 'lining', 'shoe', 'disc', 'pressure', 'water', 'rest-voltage')
      or r.measure = 'crank' and f.standard = (select v.spec -> 'battery' ->> 'standard' from vehicle v where v.id = $1))
    and not exists (select 1 from finding later where later.parent = f.id)
  order by i.started_at, f.made_at, f.id, r.measure, r.spot, r.phase, r.n`;

interface MomentRow {
  readonly id: string;
  readonly started_at: string;
  readonly meter: number;
  readonly meter_answer: VisitMoment['meterAnswer'];
  readonly ambient_c: number | null;
}

/** One vehicle as the fleet's sums take it; undefined when there is none by that id. */
export async function readVehiclePage(db: Queries, vehicleId: string): Promise<VehiclePage | undefined> {
  const [row] = await db.query<VehicleRow>('select * from vehicle where id = $1', [vehicleId]);
  if (!row) return undefined;
  const moments = await db.query<MomentRow>(
    'select id, started_at, meter, meter_answer, ambient_c from inspection where vehicle_id = $1 and signed_at is not null order by started_at',
    [vehicleId],
  );
  const leaks = await db.query<
    { inspection_id: string; at: string; point: LeakLook['point'] } & LeakLook['observation']
  >(
    `select f.inspection_id, i.started_at as at, f.point, l.stage, l.fluid, l.place, l.wiped
     from inspection i join finding f on f.inspection_id = i.id join leak l on l.finding_id = f.id
     where i.vehicle_id = $1 and i.signed_at is not null and f.carried_at is null
       and not exists (select 1 from finding later where later.parent = f.id)
     order by i.started_at, f.made_at, f.id, l.n`,
    [vehicleId],
  );
  const shown = await db.query<{ body: StoredForecast; inspector: string }>(
    `select f.body, p.name as inspector
     from forecast f join inspection i on i.id = f.inspection_id join person p on p.id = i.started_by
     where i.vehicle_id = $1`,
    [vehicleId],
  );
  return {
    vehicle: vehicleFrom(row),
    moments: moments.map(({ id, started_at, meter, meter_answer, ambient_c }) => ({
      id,
      startedAt: started_at,
      meter,
      meterAnswer: meter_answer,
      ambientC: ambient_c,
    })),
    readings: await db.query<ReadingRow>(READINGS_OF_VEHICLE, [vehicleId]),
    leaks: leaks.map(({ inspection_id, at, point, stage, fluid, place, wiped }) => ({
      inspectionId: inspection_id,
      at,
      point,
      observation: { stage, fluid, place, wiped },
    })),
    entries: await readLifeEntries(db, vehicleId),
    forecasts: shown.map(({ body }) => body),
    forecastBy: shown.map(({ inspector }) => inspector),
  };
}

/** Rows as readings: repeats of one thing become one, with the uncertainty their number leaves. */
export function readingsFrom(rows: readonly ReadingRow[]): RawReading[] {
  const readings: RawReading[] = [];
  for (let at = 0; at < rows.length;) {
    const row = rows[at];
    if (!row) break;
    let [sum, count] = [row.value, 1];
    for (let next = rows[at + count]; next && isSame(row, next); next = rows[at + count]) {
      sum += next.value;
      count += 1;
    }
    at += count;
    readings.push({
      inspectionId: row.inspection_id,
      point: row.point,
      place: row.place,
      spot: row.spot,
      measure: row.measure,
      phase: row.phase,
      value: sum / count,
      u: standardUncertainty(MEASURES[row.measure], count),
      ...(row.bound === 'exact' ? {} : { bound: row.bound }),
    });
  }
  return readings;
}

const isSame = (a: ReadingRow, b: ReadingRow) =>
  a.spot === b.spot &&
  a.point === b.point &&
  a.place === b.place &&
  a.measure === b.measure &&
  a.phase === b.phase &&
  a.bound === b.bound &&
  a.inspection_id === b.inspection_id;
