import type { SignatureLine } from '@weskopos/contract';
import canonicalize from 'canonicalize';
import type { Queries, Tx } from '../db/engine';
import { hashOf, type WorkshopKey } from './workshopKey';

/** One signature with the public half of the key it was made with. */
export interface Sealed extends SignatureLine {
  readonly pem: string;
}

/** What is to be signed, without its place in the chain. */
export interface ToSign {
  readonly vehicleId: string;
  readonly kind: SignatureLine['kind'];
  /** The visit, or the amendment. */
  readonly subject: string;
  readonly says: object;
}

const FORMAT = 'weskopos-signed';
const VERSION = 1;

/**
 * Signs a text behind everything that was signed of its vehicle before. The text is canonical JSON (RFC 8785); it names the
 * hash of the one before, so that none can be changed or left out between two others without being seen.
 */
export async function seal(db: Queries, key: WorkshopKey, { vehicleId, kind, subject, says }: ToSign): Promise<Sealed> {
  const [last] = await db.query<{ n: number; hash: string }>(
    'select n, hash from signature where vehicle_id = $1::uuid order by n desc, hash limit 1',
    [vehicleId],
  );
  const [n, previous] = [(last?.n ?? 0) + 1, last?.hash ?? null];
  const told = { format: FORMAT, version: VERSION, vehicleId, n, previous, kind, subject, ...says };
  const document = canonicalize(told) ?? '';
  const hash = hashOf(document);
  return { hash, vehicleId, n, previous, kind, subject, document, key: key.id, value: key.sign(hash), pem: key.pem };
}

/** Keeps a signature; one that is there already stays. */
export async function keepSignature(tx: Tx, { pem, ...line }: Sealed): Promise<void> {
  await tx.query('insert into signing_key (id, pem) values ($1, $2) on conflict do nothing', [line.key, pem]);
  await tx.query(
    `insert into signature (hash, vehicle_id, n, previous, kind, subject, document, key, value)
     values ($1, $2::uuid, $3::integer, $4, $5, $6::uuid, $7, $8, $9) on conflict do nothing`,
    [line.hash, line.vehicleId, line.n, line.previous, line.kind, line.subject, line.document, line.key, line.value],
  );
}
