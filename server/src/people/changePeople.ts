import type { Member, PersonState, Role } from '@weskopos/contract';
import type { Engine } from '../db/engine';
import type { Ledger } from '../ledger/ledger';
import { takeOwn, type OwnDraft } from '../ledger/takeOwn';
import { NotFound, Refused } from '../http/problems';
import { hashSecret } from './secret';
import type { Sessions } from './sessions';
import { newCode } from './onceCode';

/** A code that was given out lets in for so long. */
const ONCE_HOURS = 24;
const HOUR_MS = 3_600_000;

/** What changes to people need. */
export interface PeopleChanges {
  readonly engine: Engine;
  readonly ledger: Ledger;
  readonly sessions: Sessions;
  readonly clock: () => Date;
}

async function take(needs: PeopleChanges, draft: OwnDraft, by: string): Promise<void> {
  const { refusal } = await takeOwn(needs, draft, by);
  if (refusal === 'no-person') throw new NotFound('person');
  if (refusal) throw new Refused(409, refusal, 'person');
}

/** Everybody of the workshop, those who have gone too, by name. */
export async function membersOf(
  { engine }: Pick<PeopleChanges, 'engine'>,
  id: string | null = null,
): Promise<Member[]> {
  return engine.query<Member>(
    `select id, name, role, state, once_until is not null as invited from person
     where $1::uuid is null or id = $1::uuid order by name`,
    [id],
  );
}

/**
 * Changes what a person may do; who may no longer come in, or may less than before, is signed out everywhere. Throws
 * {@link Refused} `last-lead` where nobody would be left to let others in.
 */
export async function changeMember(
  context: PeopleChanges,
  id: string,
  change: { readonly role?: Role | undefined; readonly state?: PersonState | undefined },
  by: string,
): Promise<Member> {
  await take(context, { kind: 'person.change', body: { id, ...change } }, by);
  // A session holds the role it was opened with.
  await context.sessions.endAllOf(id);
  const [member] = await membersOf(context, id);
  if (!member) throw new NotFound('person');
  return member;
}

/** Gives out a code that lets a person in once, to choose another secret; the old one lets in no longer. */
export async function giveCode(
  context: PeopleChanges,
  id: string,
  by: string,
): Promise<{ readonly code: string; readonly until: string }> {
  const code = newCode();
  const until = new Date(context.clock().getTime() + ONCE_HOURS * HOUR_MS).toISOString();
  await take(
    context,
    { kind: 'person.secret', body: { id, secretHash: await hashSecret(code), onceUntil: until } },
    by,
  );
  await context.sessions.endAllOf(id);
  return { code, until };
}

/** A person's own new secret: every other device has to sign in with it. @param token the session that stays */
export async function chooseSecret(
  context: PeopleChanges,
  id: string,
  fresh: string,
  token: string | undefined,
): Promise<void> {
  await take(
    context,
    { kind: 'person.secret', body: { id, secretHash: await hashSecret(fresh), onceUntil: null } },
    id,
  );
  await context.sessions.endAllOf(id, token);
}
