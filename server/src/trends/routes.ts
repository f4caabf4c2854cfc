import { ENDPOINTS } from '@weskopos/contract';
import { isSigned, runOutOf } from '@weskopos/core';
import type { Engine } from '../db/engine';
import type { FleetBook } from '../fleet/fleetBook';
import { NotFound } from '../http/problems';
import { register, type Api } from '../people/register';
import { rulesOfToday } from '../rules/rulesOfVisit';
import { readLife } from '../inspections/readLife';

/** What runs out on a vehicle. */
export function trendRoutes(api: Api, { engine, fleet }: { readonly engine: Engine; readonly fleet: FleetBook }): void {
  register(api, ENDPOINTS.trends, async ({ params }) => {
    const life = await readLife(engine, params.id);
    if (!life) throw new NotFound('vehicle');
    const signed = life.visits.filter(({ inspection }) => isSigned(inspection));
    return [
      ...runOutOf(life.vehicle, signed, await rulesOfToday(engine), { entries: life.entries, fleet: fleet.knowledge }),
    ];
  });
}
