import { ENDPOINTS } from '@weskopos/contract';
import type { FleetBook } from '../fleet/fleetBook';
import { NotFound } from '../http/problems';
import { takeOwn, type OwnNeeds } from '../ledger/takeOwn';
import { register, type Api } from '../people/register';

interface KeeperNeeds extends OwnNeeds {
  readonly fleet: FleetBook;
  /** Lets go of what the journal and copies of the database hold from before. */
  readonly forgetBefore: () => Promise<void>;
}

/** What is told of keepers, taken out when one asks for it. */
export function keeperRoutes(api: Api, { ledger, fleet, clock, forgetBefore }: KeeperNeeds): void {
  register(api, ENDPOINTS.blankKeeper, async ({ params, body: { why }, person }) => {
    const body = { vehicleId: params.id, why };
    const { refusal } = await takeOwn({ ledger, clock }, { kind: 'keeper.blank', body }, person.id);
    if (refusal) throw new NotFound('vehicle');
    fleet.vehicleChanged(params.id);
    await forgetBefore();
    return {};
  });
}
