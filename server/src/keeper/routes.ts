import { ENDPOINTS } from '@weskopos/contract';
import { randomUUID } from 'node:crypto';
import type { FleetBook } from '../fleet/fleetBook';
import { NotFound } from '../http/problems';
import type { Ledger } from '../ledger/ledger';
import { register, type Api } from '../people/register';

interface KeeperNeeds {
  readonly ledger: Ledger;
  readonly fleet: FleetBook;
  readonly clock: () => Date;
  /** Lets go of what the journal and copies of the database hold from before. */
  readonly forgetBefore: () => Promise<void>;
}

/** What is told of keepers, taken out when one asks for it. */
export function keeperRoutes(api: Api, { ledger, fleet, clock, forgetBefore }: KeeperNeeds): void {
  register(api, ENDPOINTS.blankKeeper, async ({ params, body: { why }, person }) => {
    const at = clock().toISOString();
    const body = { vehicleId: params.id, why };
    const [outcome] = await ledger.accept([
      {
        operation: { id: randomUUID(), at, device: 'server', kind: 'keeper.blank', body },
        by: person.id,
        receivedAt: at,
      },
    ]);
    if (outcome?.refusal) throw new NotFound('vehicle');
    fleet.vehicleChanged(params.id);
    await forgetBefore();
    return {};
  });
}
