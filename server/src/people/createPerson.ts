import type { Person } from '@weskopos/contract';
import { randomUUID } from 'node:crypto';
import type { Ledger } from '../ledger/ledger';
import { Taken } from '../http/problems';
import { hashSecret } from './secret';

type NewPerson = { name: string; role: Person['role']; secret: string };

/** Hashes the secret and adds the person as a journalled change. Throws {@link Taken} when the name is in use. */
export async function createPerson(
  { ledger, clock }: { readonly ledger: Ledger; readonly clock: () => Date },
  { name, role, secret }: NewPerson,
  by: string | null,
): Promise<Person> {
  const id = randomUUID();
  const at = clock().toISOString();
  const body = { id, name, role, secretHash: await hashSecret(secret) };
  const [outcome] = await ledger.accept([
    { operation: { id: randomUUID(), at, device: 'server', kind: 'person.add', body }, by, receivedAt: at },
  ]);
  if (outcome?.refusal) throw new Taken('name');
  return { id, name, role };
}
