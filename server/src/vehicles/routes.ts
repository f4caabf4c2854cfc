import { ENDPOINTS } from '@weskopos/contract';
import type { Engine } from '../db/engine';
import { register, type Api } from '../people/register';
import { readWorkEntries } from './readLifeEntries';
import { readYard } from './readYard';

/** The yard, and what is to be done at all vehicles. */
export function vehicleRoutes(api: Api, { engine }: { readonly engine: Engine }): void {
  register(api, ENDPOINTS.yard, () => readYard(engine));
  register(api, ENDPOINTS.works, () => readWorkEntries(engine));
}
