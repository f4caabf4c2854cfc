import { vehicleTable } from '@weskopos/contract';
import type { Vehicle } from '@weskopos/core';
import { insertRecords } from '../db/table';
import { AS_SAID, refused, takes, type Writer } from '../ledger/change';

/** Adds a vehicle or writes its sheet anew. A fleet code that another vehicle has is refused. */
export const putVehicle: Writer<Vehicle> = {
  async decide(tx, _change, { id, fleetCode }) {
    const [other] = await tx.query('select 1 from vehicle where fleet_code = $1 and id <> $2::uuid', [fleetCode, id]);
    return other ? refused('fleet-code-taken') : takes(AS_SAID);
  },
  effect: (tx, _change, vehicle) => insertRecords(tx, vehicleTable, [{ record: vehicle }], { replacing: true }),
};
