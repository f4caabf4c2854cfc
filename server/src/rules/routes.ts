import { ENDPOINTS } from '@weskopos/contract';
import type { Engine } from '../db/engine';
import { register, type Api } from '../people/register';
import { readRulebooks } from './readRulebooks';

/** Every version of the workshop's rules. */
export function ruleRoutes(api: Api, { engine }: { readonly engine: Engine }): void {
  register(api, ENDPOINTS.rulebooks, () => readRulebooks(engine));
}
