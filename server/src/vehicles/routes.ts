import { ENDPOINTS } from '@weskopos/contract';
import type { Context } from '../context';
import { NotFound } from '../http/problems';
import { register, type Api } from '../people/register';
import { readLife } from './readLife';
import { readYard } from './readYard';

export function vehicleRoutes(api: Api, { engine }: Context): void {
  register(api, ENDPOINTS.yard, () => readYard(engine));
  register(api, ENDPOINTS.life, async ({ params }) => {
    const life = await readLife(engine, params.id);
    if (!life) throw new NotFound('vehicle');
    return life;
  });
}
