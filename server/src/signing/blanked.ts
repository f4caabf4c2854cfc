import type { SignatureLine } from '@weskopos/contract';
import canonicalize from 'canonicalize';
import { z } from 'zod';
import type { ToSign } from './signature';
import { hashOf, isSignedBy } from './workshopKey';

/** What a text says that takes keeper's data out: for each other one the hash that was signed, and that of what is left. */
const blankSchema = z.object({
  kind: z.literal('blank'),
  vehicleId: z.string(),
  blanked: z.array(z.object({ hash: z.string(), left: z.string() })),
});
type Blanked = z.infer<typeof blankSchema>['blanked'][number];

interface WithKeeper {
  readonly visit?: {
    readonly inspection?: { readonly complaint?: string };
    readonly sheet?: { readonly vehicle?: { readonly plate?: string; readonly vin?: string } } | null;
  };
}

/** A signed text without what it tells of the keeper: plate, VIN and what he said at arrival; as it is where it tells none. */
export function withoutKeeper(document: string): string {
  const told = parsed(document) as WithKeeper;
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

/** What a text says; nothing where it is none of ours, which its hash tells. */
function parsed(document: string): object {
  try {
    const told: unknown = JSON.parse(document);
    return typeof told === 'object' && told !== null ? told : {};
  } catch {
    return {};
  }
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
    // A key that came in a bundle may have signed anything.
    const told = blankSchema.safeParse(parsed(document));
    if (!told.success || told.data.vehicleId !== vehicleId) continue;
    for (const one of told.data.blanked) left.set(`${vehicleId} ${one.hash}`, one.left);
  }
  return ({ vehicleId, document, hash }) => {
    const is = hashOf(document);
    return is === hash || is === left.get(`${vehicleId} ${hash}`);
  };
}
