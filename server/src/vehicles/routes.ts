import { ENDPOINTS } from '@weskopos/contract';
import type { Engine } from '../db/engine';
import { register, type Api } from '../people/register';
import { readYard } from './readYard';

/** The yard. */
export function vehicleRoutes(api: Api, { engine }: { readonly engine: Engine }): void {
  register(api, ENDPOINTS.yard, () => readYard(engine));
}
