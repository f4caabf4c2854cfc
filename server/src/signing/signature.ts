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

/** The end of what was signed of a vehicle: its number and hash. */
export type ChainEnd = Pick<SignatureLine, 'n' | 'hash'>;

/** The signature that stands last of a vehicle; null where nothing of it was signed. */
export async function chainEnd(db: Queries, vehicleId: string): Promise<ChainEnd | null> {
  const [last] = await db.query<{ n: number; hash: string }>(
    'select n, hash from signature where vehicle_id = $1::uuid order by n desc, hash limit 1',
    [vehicleId],
  );
  return last ?? null;
}

/** Signs a text behind everything that was signed of its vehicle before. */
export async function seal(db: Queries, key: WorkshopKey, told: ToSign): Promise<Sealed> {
  return sealBehind(await chainEnd(db, told.vehicleId), key, told);
}

/**
 * Signs a text behind the last one of its vehicle. The text is canonical JSON (RFC 8785); it names the hash of the one
 * before, so that none can be changed or left out between two others without being seen.
 */
export function sealBehind(
  last: ChainEnd | null,
  key: WorkshopKey,
  { vehicleId, kind, subject, says }: ToSign,
): Sealed {
  const [n, previous] = [(last?.n ?? 0) + 1, last?.hash ?? null];
  const told = { format: FORMAT, version: VERSION, vehicleId, n, previous, kind, subject, ...says };
  const document = canonicalize(told) ?? '';
  const hash = hashOf(document);
  return { hash, vehicleId, n, previous, kind, subject, document, key: key.id, value: key.sign(hash), pem: key.pem };
}

/** Keeps signatures; one that is there already stays. */
export async function keepSignatures(tx: Tx, sealed: readonly Sealed[]): Promise<void> {
  if (sealed.length === 0) return;
  const keys = new Map(sealed.map(({ key, pem }) => [key, pem]));
  await tx.query(
    `insert into signing_key (id, pem) select id, pem from json_to_recordset($1::json) as r (id text, pem text)
     on conflict do nothing`,
    [JSON.stringify([...keys].map(([id, pem]) => ({ id, pem })))],
  );
  await tx.query(
    `insert into signature (hash, vehicle_id, n, previous, kind, subject, document, key, value)
     select hash, "vehicleId", n, previous, kind, subject, document, key, value from json_to_recordset($1::json)
       as r (hash text, "vehicleId" uuid, n integer, previous text, kind text, subject uuid, document text, key text, value text)
     on conflict do nothing`,
    [JSON.stringify(sealed.map(({ pem: _pem, ...line }) => line))],
  );
}
