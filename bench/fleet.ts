import { BUILT_IN_FLEET, BUILT_IN_RULEBOOK, rulesOf } from '@weskopos/core';
import { randomUuid, seededRandom } from '@weskopos/core/simulated';
import { fleetWorld, type WorldVehicle } from '@weskopos/core/simulator/fleetWorld';
import { monitorEventLoopDelay, performance } from 'node:perf_hooks';
import { quantile } from './answered';
import { openEngine } from './openEngine';
import type { Engine } from '@weskopos/server/db/engine';
import { FleetBook } from '@weskopos/server/fleet/fleetBook';
import { recomputeFleet } from '@weskopos/server/fleet/recomputeFleet';
import { entriesOfVehicle, readVehiclePage } from '@weskopos/server/fleet/vehiclePages';
import { readingsQuery } from '@weskopos/server/fleet/trendEntries';
import { readLife } from '@weskopos/server/inspections/readLife';
import { newVehicle } from '@weskopos/server/tests/workshop';

const PLAN = { seed: 90_001, vehicles: 1000, years: 10, changing: true };
const DAY_MS = 86_400_000;
const FIRST_MS = Date.parse('2016-01-04T08:00:00.000Z');
const RULES = rulesOf(BUILT_IN_RULEBOOK, 'full');
/** Life sheets asked for one after another. */
const SHEETS = 60;

const mb = (bytes: number) => (bytes / 1e6).toFixed(0);

/** A fleet of a thousand over ten years: what summing it all up costs beside only reading it. */
export async function benchFleet(vehicles = PLAN.vehicles): Promise<void> {
  const { engine, close } = await openEngine();
  try {
    const filling = performance.now();
    const ids = await fill(engine, fleetWorld({ ...PLAN, vehicles }));
    const [row] = await engine.query<{ n: number }>('select count(*)::integer as n from reading');
    console.log(
      `fleet: ${vehicles} vehicles over ${PLAN.years} years, ${row?.n} readings (filled in ${((performance.now() - filling) / 1000).toFixed(0)} s)`,
    );
    const read = async () => {
      const begun = performance.now();
      for (const id of ids) await readVehiclePage(engine, id);
      return performance.now() - begun;
    };
    await read();
    const before = process.memoryUsage().rss;
    const delay = monitorEventLoopDelay({ resolution: 5 });
    const paged = await read();
    delay.enable();
    const begun = performance.now();
    let most = 0;
    const watch = setInterval(() => (most = Math.max(most, process.memoryUsage().rss)), 100);
    const answer = await recomputeFleet(engine, BUILT_IN_FLEET, RULES, new Date().toISOString());
    const summed = performance.now() - begun;
    delay.disable();
    clearInterval(watch);
    console.log(
      `  full recompute ${(summed / 1000).toFixed(1)} s, ${(summed / paged).toFixed(2)} × the same paged read (${(paged / 1000).toFixed(1)} s); ${answer.boards.length} vehicles summed up`,
    );
    console.log(
      `  memory ${mb(before)} MB before, at most ${mb(most)} MB (+${mb(most - before)}); event loop held ${(delay.max / 1e6).toFixed(0)} ms at most, p99 ${(delay.percentile(99) / 1e6).toFixed(0)} ms`,
    );
    const book = new FleetBook(engine, () => new Date());
    const changes = await timed(ids.slice(0, SHEETS), (id) => book.sumUp(id));
    console.log(
      `  one vehicle after a visit: median ${quantile(changes, 0.5).toFixed(1)} ms, p95 ${quantile(changes, 0.95).toFixed(1)} ms`,
    );
    const bare = await timed(ids.slice(0, SHEETS), (id) => {
      const wanted = entriesOfVehicle(id);
      return engine.query(readingsQuery(wanted), [...wanted.values, JSON.stringify(wanted.measures)]);
    });
    const life = await timed(ids.slice(0, SHEETS), (id) => readLife(engine, id));
    console.log(
      `  life sheet data: p95 ${quantile(life, 0.95).toFixed(1)} ms, ${(quantile(life, 0.95) / quantile(bare, 0.95)).toFixed(2)} × its bare select (${quantile(bare, 0.95).toFixed(1)} ms)`,
    );
  } finally {
    await close();
  }
}

async function timed(ids: readonly string[], work: (id: string) => Promise<unknown>): Promise<number[]> {
  const took: number[] = [];
  for (const id of ids) {
    const begun = performance.now();
    await work(id);
    took.push(performance.now() - begun);
  }
  return took;
}

/** Writes a simulated fleet straight into the tables: every visit reads tread at three spots, both pads, discs and pressures. */
async function fill(engine: Engine, world: readonly WorldVehicle[]): Promise<string[]> {
  const random = seededRandom(1);
  const person = randomUuid(random);
  await engine.query(
    `insert into person (id, name, role, secret_hash, created_at) values ($1, 'Bench', 'lead', '', now())`,
    [person],
  );
  const ids: string[] = [];
  for (const [n, one] of world.entries()) {
    const vehicle = newVehicle({ fleetCode: `B ${n}`, use: one.use });
    ids.push(vehicle.id);
    await engine.query(
      `insert into vehicle (id, fleet_code, plate, make, model, year, class, use, axles, vin, meter_unit, make_up, spec)
       select ($1::jsonb ->> 'id')::uuid, $1::jsonb ->> 'fleetCode', '', '', '', 2016, $1::jsonb ->> 'class', $1::jsonb ->> 'use',
         $1::jsonb -> 'axles', '', 'km', $1::jsonb -> 'makeUp', $1::jsonb -> 'spec'`,
      [JSON.stringify(vehicle)],
    );
    const visits = one.visits.map(({ day, km }) => ({
      id: randomUuid(random),
      day,
      km,
      at: new Date(FIRST_MS + day * DAY_MS).toISOString(),
    }));
    const findings: object[] = [];
    const readings: object[] = [];
    const put = (
      visit: (typeof visits)[number],
      point: string,
      place: string,
      measure: string,
      spots: readonly string[],
      value: number,
    ) => {
      const id = randomUuid(random);
      findings.push({ id, visit: visit.id, at: visit.at, point, place });
      for (const spot of spots) readings.push({ id, measure, spot, value: Math.max(0, value) });
    };
    for (const visit of visits) {
      for (const part of one.parts) {
        const reading = part.readings.find(({ day }) => day === visit.day);
        if (!reading) continue;
        if (part.kind === 'tread')
          put(visit, 'tyre.tread', part.place, 'tread', ['outer', 'centre', 'inner'], reading.value);
        else
          for (const point of ['pad.inner', 'pad.outer'])
            put(visit, point, part.place, 'lining', ['whole'], reading.value);
      }
      for (const { place, found } of one.pressures.filter(({ day }) => day === visit.day)) {
        put(visit, 'tyre.pressure', place, 'pressure', ['whole'], found);
        put(visit, 'disc', place, 'disc', ['whole'], 24 - visit.km / 40_000);
        // What trends are not made of stands between: levels, water, play.
        put(visit, 'joint.ball', place, 'play', ['12-6', '3-9'], 0);
      }
    }
    await engine.query(
      `insert into inspection (id, vehicle_id, started_at, started_by, meter, complaint, state, ambient_c, load, rulebook, template, catalogue_version, signed_at, signed_by, grade, counts)
       select (v ->> 'id')::uuid, $2::uuid, (v ->> 'at')::timestamptz, $3::uuid, (v ->> 'km')::float8, '', 'cold', 12, 'light', 0, 'full', 1, (v ->> 'at')::timestamptz, $3::uuid, 'pass', '{}'::jsonb
       from jsonb_array_elements($1::jsonb) v`,
      [JSON.stringify(visits), vehicle.id, person],
    );
    await engine.query(
      `insert into finding (id, inspection_id, point, place, access, words, note, kept, made_at, made_by)
       select (f ->> 'id')::uuid, (f ->> 'visit')::uuid, f ->> 'point', f ->> 'place', 'seen', '[]', '', '[]', (f ->> 'at')::timestamptz, $2::uuid
       from jsonb_array_elements($1::jsonb) f`,
      [JSON.stringify(findings), person],
    );
    await engine.query(
      `insert into reading (finding_id, measure, spot, phase, n, value)
       select (r ->> 'id')::uuid, r ->> 'measure', r ->> 'spot', 'found', 0, (r ->> 'value')::float8 from jsonb_array_elements($1::jsonb) r`,
      [JSON.stringify(readings)],
    );
  }
  await engine.script('analyze');
  return ids;
}
