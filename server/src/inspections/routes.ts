import { ENDPOINTS } from '@weskopos/contract';
import type { Engine } from '../db/engine';
import { NotFound } from '../http/problems';
import { register, type Api } from '../people/register';
import { readLife } from './readLife';
import { readVisits } from './readVisits';

/** A vehicle's life, and one visit. */
export function inspectionRoutes(api: Api, { engine }: { readonly engine: Engine }): void {
  register(api, ENDPOINTS.life, async ({ params }) => {
    const life = await readLife(engine, params.id);
    if (!life) throw new NotFound('vehicle');
    return life;
  });
  register(api, ENDPOINTS.inspection, async ({ params }) => {
    const [visit] = await readVisits(engine, 'i.id = $1', params.id);
    if (!visit) throw new NotFound('inspection');
    return visit;
  });
}
