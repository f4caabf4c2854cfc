import type { StoredAct } from '@weskopos/contract';
import type { Act } from '@weskopos/core';

/** An act as the database tells it: what its kind does not have is null. */
export interface ActRow {
  readonly id: string;
  readonly inspection_id: string;
  readonly kind: Act['kind'];
  readonly made_at: string;
  readonly by: string;
  readonly refers: string;
  readonly subject: string;
  readonly place: string;
  readonly answer: boolean;
  readonly reason: string;
  readonly length_s: number;
  readonly litres: number | null;
  readonly fasteners: number | null;
  readonly torque_nm: number | null;
  readonly level: number | null;
  readonly washer: 'new' | 'reused' | null;
  readonly old_seal_seen: boolean | null;
  readonly on_ground: boolean | null;
  readonly kept: readonly string[];
  readonly note: string;
}

/** The act of a row. What the schema let in comes out: the columns were filled from it. */
export function actFrom(row: ActRow): StoredAct {
  const common = { id: row.id, inspectionId: row.inspection_id, at: row.made_at, by: row.by };
  return { ...common, ...contentOf(row) } as StoredAct;
}

function contentOf(row: ActRow): object {
  const { kind } = row;
  switch (kind) {
    case 'state':
      return { kind, change: row.subject };
    case 'gate':
      return { kind, question: row.subject, answer: row.answer };
    case 'gate-override':
      return { kind, reason: row.reason };
    case 'open':
      return { kind, end: row.subject, place: row.place, fasteners: row.fasteners };
    case 'fill':
      return { kind, opens: row.refers, litres: row.litres };
    case 'wait':
      return { kind, wait: row.subject, lengthS: row.length_s };
    case 'wait-done':
      return { kind, waits: row.refers };
    case 'close': {
      const { torque_nm: torqueNm, litres, level, fasteners, washer, kept, note } = row;
      const [oldSealSeen, onGround] = [row.old_seal_seen, row.on_ground];
      return {
        kind,
        opens: row.refers,
        proof: { torqueNm, litres, level, fasteners, washer, oldSealSeen, onGround, kept, note },
      };
    }
  }
}
