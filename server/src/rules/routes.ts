import { ENDPOINTS } from '@weskopos/contract';
import type { Context } from '../context';
import { register, type Api } from '../people/register';
import { readRulebooks } from './readRulebooks';

export function ruleRoutes(api: Api, { engine }: Context): void {
  register(api, ENDPOINTS.rulebooks, () => readRulebooks(engine));
}
