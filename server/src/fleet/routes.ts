import { ENDPOINTS } from '@weskopos/contract';
import type { FleetBook } from './fleetBook';
import { register, type Api } from '../people/register';

/** What the fleet teaches, its board and its scorecard. */
export function fleetRoutes(api: Api, { fleet }: { readonly fleet: FleetBook }): void {
  register(api, ENDPOINTS.fleetKnowledge, () => Promise.resolve(fleet.knowledge));
  register(api, ENDPOINTS.fleetBoard, () => fleet.board());
  register(api, ENDPOINTS.scorecard, ({ person }) => fleet.scorecard(person.role));
}
