import { randomInt } from 'node:crypto';

/** Letters and figures that are not taken for one another. */
const ALPHABET = 'ABCDEFGHJKMNPQRSTUVWXYZ23456789';

/** A one-time code in two groups of four: for the first lead of an empty workshop, and for who needs another secret. About 39 bits. */
export function newCode(): string {
  const letters = Array.from({ length: 8 }, () => ALPHABET[randomInt(ALPHABET.length)]).join('');
  return `${letters.slice(0, 4)}-${letters.slice(4)}`;
}
