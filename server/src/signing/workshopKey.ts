import {
  createHash,
  createPrivateKey,
  createPublicKey,
  generateKeyPairSync,
  sign,
  verify,
  type KeyObject,
} from 'node:crypto';
import fs from 'node:fs/promises';
import path from 'node:path';
import { sync } from '../db/copyDurably';

/** Signs hashes in the workshop's name, with Ed25519. */
export interface WorkshopKey {
  /** What the key is known by: the first 16 digits of its public half's hash. */
  readonly id: string;
  /** The public half, PEM: anybody can check by it. */
  readonly pem: string;
  /** @param hash 64 hexadecimal digits: those letters are what is signed @returns base64 */
  sign(hash: string): string;
}

const FILE = 'workshop.pem';

/** The key of a data folder; made the first time, for its owner alone. */
export async function openWorkshopKey(folder: string): Promise<WorkshopKey> {
  await fs.mkdir(folder, { recursive: true, mode: 0o700 });
  const file = path.join(folder, FILE);
  const kept = await fs.readFile(file, 'utf8').catch((error: NodeJS.ErrnoException) => {
    if (error.code === 'ENOENT') return null;
    throw error;
  });
  return keyFrom(createPrivateKey(kept ?? (await makeKey(file))));
}

async function makeKey(file: string): Promise<string> {
  const { privateKey } = generateKeyPairSync('ed25519');
  const pem = privateKey.export({ type: 'pkcs8', format: 'pem' }) as string;
  await fs.writeFile(`${file}.draft`, pem, { mode: 0o600 });
  await sync(`${file}.draft`);
  await fs.rename(`${file}.draft`, file);
  await sync(path.dirname(file));
  return pem;
}

function keyFrom(secret: KeyObject): WorkshopKey {
  const pem = createPublicKey(secret).export({ type: 'spki', format: 'pem' }) as string;
  return {
    id: keyId(pem),
    pem,
    sign: (hash) => sign(null, Buffer.from(hash), secret).toString('base64'),
  };
}

/** What a public key is known by. @param pem its PEM; throws where it is none */
export function keyId(pem: string): string {
  const der = createPublicKey(pem).export({ type: 'spki', format: 'der' });
  return createHash('sha256').update(der).digest('hex').slice(0, 16);
}

/** Whether a hash was signed by the key whose public half this is. */
export function isSignedBy(pem: string, hash: string, value: string): boolean {
  return verify(null, Buffer.from(hash), createPublicKey(pem), Buffer.from(value, 'base64'));
}

export const hashOf = (document: string): string => createHash('sha256').update(document).digest('hex');
