import { ENDPOINTS } from '@weskopos/contract';
import type { Engine } from '../db/engine';
import { register, type Api } from '../people/register';
import { readWorkEntries } from './readWorkEntries';

/** What is to be done, over all vehicles. */
export function workRoutes(api: Api, { engine }: { readonly engine: Engine }): void {
  register(api, ENDPOINTS.works, () => readWorkEntries(engine));
}
