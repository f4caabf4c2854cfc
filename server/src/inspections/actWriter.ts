import { actTable, flatAct } from '@weskopos/contract';
import type { Act } from '@weskopos/core';
import type { Tx } from '../db/engine';
import { MADE_BY, insertRecords } from '../db/table';
import { AS_SAID, refused, takes, type Outcome, type Taken, type Writer } from '../ledger/change';

interface Facts {
  readonly signed_at: string | null;
  readonly voided_at: string | null;
  readonly there: boolean;
  readonly target: Act['kind'] | null;
  readonly role: string | null;
}

/** What an act of a kind refers to: an end that was opened, a wait that was begun. */
const REFERS_TO: Readonly<Partial<Record<Act['kind'], Act['kind']>>> = {
  close: 'open',
  fill: 'open',
  'wait-done': 'wait',
};

/** Appends one act to a visit that is still open. */
export const putAct: Writer<Act> = {
  async decide(tx, change, act) {
    const { refers } = flatAct(act);
    const [facts] = await tx.query<Facts>(
      `select i.signed_at, i.voided_at, exists (select 1 from act where id = $2::uuid) as there,
         (select kind from act where id = $3::uuid and inspection_id = i.id) as target,
         (select role from person where id = $4::uuid) as role
       from inspection i where i.id = $1::uuid`,
      [act.inspectionId, act.id, refers, change.by],
    );
    if (!facts) return refused('no-inspection');
    if (facts.there) return refused('already-there');
    if (facts.signed_at !== null) return refused('already-signed');
    if (facts.voided_at !== null) return refused('voided');
    if (refers !== null && facts.target !== REFERS_TO[act.kind]) return refused('no-end');
    if (act.kind === 'gate-override' && facts.role !== 'lead') return refused('lead-only');
    return takes(AS_SAID);
  },
  effect: (tx, change, body, outcome) => append(tx, [{ change, body, outcome }]),
  repeated: append,
};

function append(tx: Tx, taken: readonly Taken<Act, Outcome>[]): Promise<void> {
  return insertRecords(
    tx,
    actTable,
    taken.map(({ change: { by }, body }) => ({ record: flatAct(body), beside: [[MADE_BY, by]] })),
  );
}
