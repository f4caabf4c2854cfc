import { ENDPOINTS } from '@weskopos/contract';
import type { Context } from '../context';
import { register, type Api } from '../people/register';

export function fleetRoutes(api: Api, { fleet }: Context): void {
  register(api, ENDPOINTS.fleetKnowledge, () => Promise.resolve(fleet.knowledge));
  register(api, ENDPOINTS.fleetBoard, () => fleet.board());
  register(api, ENDPOINTS.scorecard, ({ person }) => fleet.scorecard(person.role));
}
