import { TABLES, TABLES_PATH, csvStyleSchema } from '@weskopos/contract';
import { isOneOf } from '@weskopos/core';
import { Readable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import { entryLines, vehiclesIn, visitLines } from '../lines/readLines';
import type { Engine } from '../db/engine';
import { NotFound } from '../http/problems';
import { requireLead, requirePerson } from '../people/guard';
import type { Api } from '../people/register';
import { readVehicle } from '../vehicles/readVehicle';
import { csvOf } from './csv';
import { TABLES_OUT } from './tables';

/** Tables of the whole workshop, written while they are sent. */
export function tableRoutes(
  { app, sessions }: Api,
  { engine, clock }: { readonly engine: Engine; readonly clock: () => Date },
): void {
  app.get(`${TABLES_PATH}/:table`, requirePerson({ sessions }), requireLead, async (request, response) => {
    const { table } = request.params;
    if (!isOneOf(TABLES, table)) throw new NotFound('table');
    const style = csvStyleSchema.parse(request.query);
    const { columns, rows } = TABLES_OUT[table];
    const ids = await vehiclesIn(engine, { kind: 'workshop' });
    response
      .set('Cache-Control', 'no-store')
      .attachment(`weskopos-${table}-${clock().toISOString().slice(0, 10)}.csv`)
      .type('text/csv; charset=utf-8');
    async function* text() {
      yield `${style.bom === 'yes' ? '\uFEFF' : ''}${csvOf([columns], style)}`;
      for (const id of ids) {
        const life = await tabledLife(engine, id);
        if (life) yield csvOf(rows(life), style);
      }
    }
    await pipeline(Readable.from(text()), response);
  });
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
