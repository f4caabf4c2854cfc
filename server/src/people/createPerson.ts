import type { Person } from '@weskopos/contract';
import { randomUUID } from 'node:crypto';
import { takeOwn, type OwnNeeds } from '../ledger/takeOwn';
import { Taken } from '../http/problems';
import { hashSecret } from './secret';

type NewPerson = { name: string; role: Person['role']; secret: string };

/** Hashes the secret and adds the person as a journalled change. Throws {@link Taken} when the name is in use. */
export async function createPerson(
  needs: OwnNeeds,
  { name, role, secret }: NewPerson,
  by: string | null,
): Promise<Person> {
  const id = randomUUID();
  const body = { id, name, role, secretHash: await hashSecret(secret) };
  const { refusal } = await takeOwn(needs, { kind: 'person.add', body }, by);
  if (refusal) throw new Taken('name');
  return { id, name, role };
}
