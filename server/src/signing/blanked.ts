import type { SignatureLine } from '@weskopos/contract';
import canonicalize from 'canonicalize';
import type { ToSign } from './signature';
import { hashOf, isSignedBy } from './workshopKey';

/** A signed text whose keeper's data was taken out: the hash that was signed, and that of what is left of it. */
interface Blanked {
  readonly hash: string;
  readonly left: string;
}

interface WithKeeper {
  readonly visit?: {
    readonly inspection?: { readonly complaint?: string };
    readonly sheet?: { readonly vehicle?: { readonly plate?: string; readonly vin?: string } } | null;
  };
}

/** A signed text without what it tells of the keeper: plate, VIN and what he said at arrival; as it is where it tells none. */
export function withoutKeeper(document: string): string {
  const told = JSON.parse(document) as WithKeeper;
  const { visit } = told;
  if (!visit) return document;
  const inspection = visit.inspection && { ...visit.inspection, complaint: '' };
  const vehicle = visit.sheet?.vehicle && { ...visit.sheet.vehicle, plate: '', vin: '' };
  const sheet = visit.sheet && { ...visit.sheet, ...(vehicle ? { vehicle } : {}) };
  return canonicalize({ ...told, visit: { ...visit, ...(inspection ? { inspection } : {}), sheet } }) ?? document;
}

/** What is said when a keeper's data is taken out: who, when, why, and which texts are shorter from then on. */
export function blankText(
  vehicleId: string,
  chain: readonly Pick<SignatureLine, 'hash' | 'document'>[],
  told: { readonly by: string; readonly at: string; readonly why: string },
): Pick<ToSign, 'kind' | 'subject' | 'says'> {
  const blanked = chain.flatMap(({ hash, document }): Blanked[] => {
    const left = withoutKeeper(document);
    return left === document ? [] : [{ hash, left: hashOf(left) }];
  });
  return { kind: 'blank', subject: vehicleId, says: { ...told, blanked } };
}

/**
 * Whether what stands as the text of a signature is what was signed, or what is left of it by a later text that is signed
 * itself.
 *
 * @param pems public keys by their ids
 */
export function textsThatStand(
  chain: readonly SignatureLine[],
  pems: ReadonlyMap<string, string>,
): (line: SignatureLine) => boolean {
  const left = new Map<string, string>();
  for (const { kind, vehicleId, document, hash, key, value } of chain) {
    if (kind !== 'blank') continue;
    const pem = pems.get(key);
    if (hashOf(document) !== hash || pem === undefined || !isSignedBy(pem, hash, value)) continue;
    // A text that is signed is as it was made.
    const { blanked } = JSON.parse(document) as { blanked: readonly Blanked[] };
    for (const one of blanked) left.set(`${vehicleId} ${one.hash}`, one.left);
  }
  return ({ vehicleId, document, hash }) => {
    const is = hashOf(document);
    return is === hash || is === left.get(`${vehicleId} ${hash}`);
  };
}
