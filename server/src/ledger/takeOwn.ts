import type { Refusal } from '@weskopos/contract';
import { randomUUID } from 'node:crypto';
import type { OwnOperation } from './change';
import type { Ledger } from './ledger';

type DraftOf<O> = O extends OwnOperation ? Pick<O, 'kind' | 'body'> : never;
/** A change the server makes itself, before it is stamped. */
export type OwnDraft = DraftOf<OwnOperation>;

/** What stamping and taking a change needs. */
export interface OwnNeeds {
  readonly ledger: Pick<Ledger, 'accept'>;
  readonly clock: () => Date;
}

/**
 * Takes a change the server makes itself, now.
 *
 * @param by null where nobody was let in yet
 * @returns when it was made, and why it was not taken; null where it was
 */
export async function takeOwn(
  { ledger, clock }: OwnNeeds,
  draft: OwnDraft,
  by: string | null,
): Promise<{ readonly at: string; readonly refusal: Refusal | null }> {
  const at = clock().toISOString();
  const operation = { id: randomUUID(), at, device: 'server', ...draft };
  const [outcome] = await ledger.accept([{ operation, by, receivedAt: at }]);
  return { at, refusal: outcome?.refusal ?? null };
}
