import { createHash, randomBytes, scrypt, timingSafeEqual, type ScryptOptions } from 'node:crypto';
import { promisify } from 'node:util';

/** OWASP's least figures for scrypt: N 2^15, r 8, p 3; 64 MB at most while it works. */
const COST: ScryptOptions = { N: 2 ** 15, r: 8, p: 3, maxmem: 64 * 1024 * 1024 };
const KEY_BYTES = 32;
const derive = promisify<string, Buffer, number, ScryptOptions, Buffer>(scrypt);

/** A PIN or password as `scrypt$salt$key`, both base64. */
export async function hashSecret(secret: string): Promise<string> {
  const salt = randomBytes(16);
  const key = await derive(secret.normalize(), salt, KEY_BYTES, COST);
  return `scrypt$${salt.toString('base64')}$${key.toString('base64')}`;
}

/** Whether a secret is the one its hash was made of; takes as long either way. */
export async function secretMatches(secret: string, hash: string): Promise<boolean> {
  const [, salt = '', key = ''] = hash.split('$');
  const wanted = Buffer.from(key, 'base64');
  const given = await derive(secret.normalize(), Buffer.from(salt, 'base64'), KEY_BYTES, COST);
  return wanted.length === given.length && timingSafeEqual(wanted, given);
}

/** A session's token: 256 random bits, for the cookie only. */
export function newToken(): string {
  return randomBytes(32).toString('base64url');
}

/** Only the hash of a session's token is stored: a stolen database opens no session. */
export function tokenHash(token: string): string {
  return createHash('sha256').update(token).digest('base64url');
}
