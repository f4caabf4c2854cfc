import type { SheetLook, SheetPlan } from '@weskopos/contract';
import { randomUUID } from 'node:crypto';
import { monitorEventLoopDelay } from 'node:perf_hooks';
import { newVehicle, operationOf, startWorkshop, type TestWorkshop } from '@weskopos/server/tests/workshop';
import { timed } from './timed';

/** Readings in the table; twelve to a visit. */
const READINGS = Number(process.env.READINGS ?? 100_000);
const A_VISIT = 12;
const VEHICLES = 200;
const AT_ONCE = 5_000;

/** A table of readings brought in, beside a bare bulk insert of the same rows. */
export async function benchSheet(): Promise<void> {
  const workshop = await startWorkshop();
  const { client, context } = workshop;
  await client.setUp(context.setupCode);
  const vehicles = Array.from({ length: VEHICLES }, (_, n) => newVehicle({ fleetCode: `B ${n}` }));
  await client.operations(...vehicles.slice(0, 100).map((one) => operationOf('vehicle.put', one)));
  await client.operations(...vehicles.slice(100).map((one) => operationOf('vehicle.put', one)));
  const rows = tableRows();
  const bareMs = await timed(() => insertedBarely(workshop, rows));
  const text = ['vehicle,date,km,point,place,spot,value', ...rows.map((row) => row.join(','))].join('\n');
  const held = monitorEventLoopDelay({ resolution: 5 });
  let most = 0;
  const watch = setInterval(() => (most = Math.max(most, process.memoryUsage.rss())), 200);
  const before = process.memoryUsage.rss();
  held.enable();
  const [look, sendMs] = await answered<SheetLook>(() =>
    client.send('POST', '/api/sheets?name=bench.csv', Buffer.from(text), { 'content-type': 'text/csv' }),
  );
  const [plan, planMs] = await answered<SheetPlan>(() =>
    client.send('POST', `/api/sheets/${look.id}/plan`, look.guess),
  );
  const heldPlan = held.max / 1e6;
  held.reset();
  const [, takeMs] = await answered<SheetPlan>(() =>
    client.send('POST', `/api/sheets/${look.id}`, { reading: look.guess, leaveRefused: false }),
  );
  held.disable();
  clearInterval(watch);
  const landedMs = await landedBarely(workshop);
  const seconds = (ms: number) => (ms / 1000).toFixed(1);
  console.log(`table of ${READINGS} readings, ${(text.length / 1e6).toFixed(1)} MB, ${plan.makes.visits} visits:
  bare bulk insert of the same rows ${seconds(bareMs)} s
  looked at in ${seconds(sendMs)} s, planned in ${seconds(planMs)} s (event loop held ${heldPlan.toFixed(0)} ms at most)
  bare bulk insert of all rows that taking writes ${seconds(landedMs)} s
  taken in ${seconds(takeMs)} s = ${(takeMs / bareMs).toFixed(1)} × the rows of the table, ${(takeMs / landedMs).toFixed(1)} × the rows written (event loop held ${(held.max / 1e6).toFixed(0)} ms at most)
  memory ${(before / 1e6).toFixed(0)} MB before, ${(most / 1e6).toFixed(0)} MB at most`);
  await workshop.stop();
}

async function answered<T>(
  ask: () => Promise<{ readonly status: number; readonly body: unknown }>,
): Promise<readonly [T, number]> {
  const began = performance.now();
  const { status, body } = await ask();
  if (status !== 200) throw new Error(`${status} ${JSON.stringify(body).slice(0, 500)}`);
  return [body as T, performance.now() - began];
}

type Row = readonly [
  vehicle: string,
  date: string,
  km: number,
  point: string,
  place: string,
  spot: string,
  value: number,
];

/** Treads of four tyres at three spots each, a visit every thirty days. */
function tableRows(): Row[] {
  return Array.from({ length: READINGS }, (_, n): Row => {
    const visit = Math.floor(n / A_VISIT);
    const [vehicle, nth] = [visit % VEHICLES, Math.floor(visit / VEHICLES)];
    const place = ['1L', '1R', '2L', '2R'][Math.floor((n % A_VISIT) / 3)] ?? '1L';
    const spot = ['outer', 'centre', 'inner'][n % 3] ?? 'outer';
    const date = new Date(Date.UTC(2021, 0, 4) + nth * 30 * 86_400_000).toISOString().slice(0, 10);
    return [
      `B ${vehicle}`,
      date,
      10_000 + nth * 1500,
      'tyre.tread',
      place,
      spot,
      Number((8 - nth * 0.12 - (n % 3) * 0.1).toFixed(1)),
    ];
  });
}

/** Where the visits of a table lie. */
const LANDED = ['inspection', 'finding', 'reading', 'signature', 'operation'];

/** Inserts once more what taking wrote, into tables of the same columns and indexes. @returns ms of the inserts alone */
async function landedBarely({ context: { engine } }: TestWorkshop): Promise<number> {
  let ms = 0;
  for (const table of LANDED) {
    const rows = await engine.query(`select row_to_json(t)::text as row from ${table} t`);
    const texts = rows.map((row) => (row as { row: string }).row);
    await engine.query(`create table bare_${table} (like ${table} including all)`);
    ms += await timed(() =>
      engine.transaction(async (tx) => {
        for (let at = 0; at < texts.length; at += AT_ONCE)
          await tx.query(
            `insert into bare_${table} select * from json_populate_recordset(null::bare_${table}, $1::json)`,
            [`[${texts.slice(at, at + AT_ONCE).join(',')}]`],
          );
      }),
    );
    await engine.query(`drop table bare_${table}`);
  }
  return ms;
}

async function insertedBarely({ context: { engine } }: TestWorkshop, rows: readonly Row[]): Promise<void> {
  await engine.query(
    'create table bare (id uuid primary key, vehicle text, day date, km double precision, point text, place text, spot text, value double precision)',
  );
  await engine.transaction(async (tx) => {
    for (let at = 0; at < rows.length; at += AT_ONCE)
      await tx.query(
        `insert into bare select * from json_to_recordset($1::json)
           as r (id uuid, vehicle text, day date, km double precision, point text, place text, spot text, value double precision)`,
        [
          JSON.stringify(
            rows.slice(at, at + AT_ONCE).map(([vehicle, day, km, point, place, spot, value]) => ({
              id: randomUUID(),
              vehicle,
              day,
              km,
              point,
              place,
              spot,
              value,
            })),
          ),
        ],
      );
  });
  await engine.query('drop table bare');
}
