import { inspectionTable, type OperationBody } from '@weskopos/contract';
import { setColumns } from '../db/table';
import { AS_SAID, refused, takes, type Writer } from '../ledger/change';

/** Says anew what was said on arrival, while the visit is open. What was found stays. */
export const correctInspection: Writer<OperationBody<'inspection.correct'>> = {
  async decide(tx, _change, { inspectionId }) {
    const [row] = await tx.query<{ signed_at: string | null; voided_at: string | null }>(
      'select signed_at, voided_at from inspection where id = $1::uuid',
      [inspectionId],
    );
    if (!row) return refused('no-inspection');
    if (row.signed_at !== null) return refused('already-signed');
    return row.voided_at === null ? takes(AS_SAID) : refused('voided');
  },
  effect: (tx, _change, { inspectionId, arrival }) => setColumns(tx, inspectionTable, inspectionId, arrival),
};
