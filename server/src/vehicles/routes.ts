import { ENDPOINTS } from '@weskopos/contract';
import type { Context } from '../context';
import { register, type Api } from '../people/register';
import { readYard } from './readYard';

export function vehicleRoutes(api: Api, { engine }: Context): void {
  register(api, ENDPOINTS.yard, () => readYard(engine));
}
