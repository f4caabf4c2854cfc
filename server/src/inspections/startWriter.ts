import { inspectionTable } from '@weskopos/contract';
import type { Inspection } from '@weskopos/core';
import { insertRecords } from '../db/table';
import { AS_SAID, refused, takes, type Writer } from '../ledger/change';

/** Begins a visit to a vehicle that is known. */
export const startInspection: Writer<Inspection> = {
  async decide(tx, _change, { id, vehicleId }) {
    const [facts] = await tx.query<{ vehicle: boolean; there: boolean }>(
      `select exists (select 1 from vehicle where id = $1::uuid) as vehicle, exists (select 1 from inspection where id = $2::uuid) as there`,
      [vehicleId, id],
    );
    if (!facts?.vehicle) return refused('no-vehicle');
    return facts.there ? refused('already-there') : takes(AS_SAID);
  },
  effect: (tx, { by }, inspection) =>
    insertRecords(tx, inspectionTable, [
      { record: inspection, beside: [[{ column: 'started_by', type: 'uuid' }, by]] },
    ]),
};
