import { inspectionTable } from '@weskopos/contract';
import type { Inspection } from '@weskopos/core';
import type { Tx } from '../db/engine';
import { insertRecords } from '../db/table';
import { AS_SAID, refused, takes, type Outcome, type Taken, type Writer } from '../ledger/change';

/** A clock may be in another zone; farther ahead than this it is wrong. */
const AHEAD_MS = 36 * 60 * 60 * 1000;
/** Nobody kept a visit of before here: a clock that lost its battery says 1970. */
const EARLIEST = Date.UTC(2000, 0, 1);

const mayBegin = (startedAt: string, receivedAt: string) => {
  const at = Date.parse(startedAt);
  return at >= EARLIEST && at <= Date.parse(receivedAt) + AHEAD_MS;
};

/** Begins a visit to a vehicle that is known. */
export const startInspection: Writer<Inspection> = {
  async decide(tx, { receivedAt }, { id, vehicleId, startedAt }) {
    if (!mayBegin(startedAt, receivedAt)) return refused('wrong-date');
    const [facts] = await tx.query<{ vehicle: boolean; there: boolean }>(
      `select exists (select 1 from vehicle where id = $1::uuid) as vehicle, exists (select 1 from inspection where id = $2::uuid) as there`,
      [vehicleId, id],
    );
    if (!facts?.vehicle) return refused('no-vehicle');
    return facts.there ? refused('already-there') : takes(AS_SAID);
  },
  effect: (tx, change, body, outcome) => begin(tx, [{ change, body, outcome }]),
  repeated: begin,
};

function begin(tx: Tx, taken: readonly Taken<Inspection, Outcome>[]): Promise<void> {
  return insertRecords(
    tx,
    inspectionTable,
    taken.map(({ change: { by }, body }) => ({ record: body, beside: [[{ column: 'started_by', type: 'uuid' }, by]] })),
  );
}
