import type { Audited } from '@weskopos/contract';
import { randomUUID } from 'node:crypto';
import { AS_SAID, takes, type AuditNote, type Writer } from '../ledger/change';
import type { Ledger } from '../ledger/ledger';

/** Puts on the audit list what leaves no record of its own: journalled like every change, so that no replay forgets it. */
export class Audit {
  constructor(private readonly needs: { readonly ledger: Ledger; readonly clock: () => Date }) {}

  /** @param by null where nobody was let in @param about at most 200 letters are kept */
  async note(what: Audited, by: string | null, about: string): Promise<void> {
    const { ledger, clock } = this.needs;
    const at = clock().toISOString();
    // What a stranger types may be anything.
    const body = { what, about: about.replace(/[\u0000\p{Surrogate}]/gu, '').slice(0, 200) };
    await ledger.accept([
      { operation: { id: randomUUID(), at, device: 'server', kind: 'audit.note', body }, by, receivedAt: at },
    ]);
  }
}

/** All it does is to be written down. */
export const noteAudit: Writer<AuditNote> = {
  decide: () => Promise.resolve(takes(AS_SAID)),
  effect: () => Promise.resolve(),
};
