import type { Audited } from '@weskopos/contract';
import { AS_SAID, takes, type AuditNote, type Writer } from '../ledger/change';
import { takeOwn, type OwnNeeds } from '../ledger/takeOwn';

/** Puts on the audit list what leaves no record of its own: journalled like every change, so that no replay forgets it. */
export class Audit {
  constructor(private readonly needs: OwnNeeds) {}

  /** @param by null where nobody was let in @param about at most 200 letters are kept */
  async note(what: Audited, by: string | null, about: string): Promise<void> {
    // What a stranger types may be anything.
    const body = { what, about: about.replace(/[\u0000\p{Surrogate}]/gu, '').slice(0, 200) };
    await takeOwn(this.needs, { kind: 'audit.note', body }, by);
  }
}

/** All it does is to be written down. */
export const noteAudit: Writer<AuditNote> = {
  decide: () => Promise.resolve(takes(AS_SAID)),
  effect: () => Promise.resolve(),
};
