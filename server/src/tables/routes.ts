import { TABLES, TABLES_PATH, tableStyleSchema } from '@weskopos/contract';
import { isOneOf, newestRulebook } from '@weskopos/core';
import { Readable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import { entryLines, vehiclesIn, visitLines } from '../lines/readLines';
import type { Audit } from '../audit/audit';
import type { Engine } from '../db/engine';
import { NotFound } from '../http/problems';
import { requireLead, requirePerson, signedInPerson } from '../people/guard';
import type { Api } from '../people/register';
import { readRulebooks } from '../rules/readRulebooks';
import { readVehicle } from '../vehicles/readVehicle';
import { csvOf } from './csv';
import { TABLES_OUT, shownUnits } from './tables';
import { writeXlsx } from './xlsx';

/** Tables of the whole workshop, written while they are sent. */
export function tableRoutes(
  api: Api,
  { engine, clock, audit }: { readonly engine: Engine; readonly clock: () => Date; readonly audit: Audit },
): void {
  api.app.get(`${TABLES_PATH}/:table`, requirePerson(api), requireLead, async (request, response) => {
    const { table } = request.params;
    if (!isOneOf(TABLES, table)) throw new NotFound('table');
    const style = tableStyleSchema.parse(request.query);
    await audit.note('export', signedInPerson(response).id, `table ${table}`);
    const { columns, rows } = TABLES_OUT[table];
    const { house } = newestRulebook(await readRulebooks(engine));
    const units = shownUnits(style.units === 'house' ? house.units : null);
    const ids = await vehiclesIn(engine, { kind: 'workshop' });
    const day = clock().toISOString().slice(0, 10);
    response.set('Cache-Control', 'no-store').attachment(`weskopos-${table}-${day}.${style.format}`);
    async function* lives() {
      yield [columns(units)];
      for (const id of ids) {
        const life = await tabledLife(engine, id);
        if (life) yield rows(life, units);
      }
    }
    if (style.format === 'xlsx') {
      response.type(XLSX);
      return writeXlsx(table, each(lives()), response);
    }
    response.type('text/csv; charset=utf-8');
    async function* text() {
      if (style.bom === 'yes') yield '\uFEFF';
      for await (const some of lives()) yield csvOf(some, style);
    }
    return pipeline(Readable.from(text()), response);
  });
}

const XLSX = 'application/vnd.openxmlformats-officedocument.spreadsheetml.sheet';

async function* each<T>(lists: AsyncIterable<readonly T[]>): AsyncGenerator<T> {
  for await (const list of lists) yield* list;
}

const tabledLife = (engine: Engine, id: string) =>
  engine.transaction(async (tx) => {
    const vehicle = await readVehicle(tx, id);
    return (
      vehicle && {
        vehicle,
        visits: await visitLines(tx, 'i.vehicle_id = $1', id),
        entries: await entryLines(tx, 'e.vehicle_id = $1', id),
      }
    );
  });
