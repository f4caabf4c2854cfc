import { ENDPOINTS, type Person, type PersonState } from '@weskopos/contract';
import { randomUUID } from 'node:crypto';
import type { Engine } from '../db/engine';
import type { Ledger } from '../ledger/ledger';
import type { Audit } from '../audit/audit';
import type { Sessions } from './sessions';
import type { Tokens } from './tokens';
import { NotFound, NotSignedIn, Refused, Taken, WrongSecret } from '../http/problems';
import { changeMember, chooseSecret, giveCode, membersOf } from './changePeople';
import { createPerson } from './createPerson';
import { register, type Api } from './register';
import { clearSessionCookie, sessionToken, setSessionCookie } from './sessionCookie';
import { hashSecret, secretMatches } from './secret';

interface PeopleNeeds {
  readonly engine: Engine;
  readonly ledger: Ledger;
  readonly sessions: Sessions;
  readonly tokens: Tokens;
  readonly audit: Audit;
  readonly clock: () => Date;
  /** Lets the first lead in; null once there are people. */
  readonly setupCode: string | null;
}

/** Setting up, signing in and out, and who belongs to the workshop. */
export function peopleRoutes(api: Api, context: PeopleNeeds): void {
  const { engine, sessions, tokens, audit } = context;
  const isEmpty = async () => (await engine.query('select 1 from person limit 1')).length === 0;

  register(api, ENDPOINTS.workshop, async () => ({ empty: await isEmpty() }));

  register(api, ENDPOINTS.setup, async ({ body, request, response }) => {
    if (!context.setupCode || !(await isEmpty())) throw new Taken('setup');
    if (body.code.toUpperCase() !== context.setupCode) throw new WrongSecret('setup-code');
    const lead = await createPerson(context, { ...body, role: 'lead' }, null);
    setSessionCookie(response, await sessions.open(lead, request.headers['user-agent']));
    return lead;
  });

  register(api, ENDPOINTS.signIn, async ({ body, request, response }) => {
    const [row] = await engine.query<Person & { secret_hash: string; state: PersonState; once_until: string | null }>(
      'select * from person where lower(name) = lower($1)',
      [body.name],
    );
    // A code is read aloud: its letters count as large.
    const secret = row?.once_until ? body.secret.trim().toUpperCase() : body.secret;
    // An unknown name costs the same work as a wrong secret, so that names cannot be told apart by time.
    const matches = await secretMatches(secret, row?.secret_hash ?? (await unmatchable));
    const over = row?.once_until != null && Date.parse(row.once_until) <= context.clock().getTime();
    if (!row || !matches || row.state !== 'here' || over) {
      await audit.note('sign-in-failed', null, body.name);
      throw new WrongSecret('sign-in');
    }
    const person: Person = { id: row.id, name: row.name, role: row.role };
    if (row.once_until !== null) {
      if (body.fresh === undefined || body.fresh.toUpperCase() === secret)
        throw new Refused(409, 'choose-secret', 'fresh');
      await chooseSecret(context, person.id, body.fresh, undefined);
    }
    setSessionCookie(response, await sessions.open(person, request.headers['user-agent']));
    await audit.note('sign-in', person.id, request.headers['user-agent'] ?? '');
    return person;
  });

  register(api, ENDPOINTS.whoAmI, ({ person }) => person);

  register(api, ENDPOINTS.signOut, async ({ request, response, person }) => {
    const token = sessionToken(request);
    if (!token) throw new NotSignedIn();
    await sessions.end(token);
    clearSessionCookie(response);
    await audit.note('sign-out', person.id, '');
    return {};
  });

  register(api, ENDPOINTS.tokens, () => tokens.list());
  register(api, ENDPOINTS.giveToken, ({ body, person }) => tokens.give(body.name, body.scope, person));
  register(api, ENDPOINTS.endToken, async ({ params, person }) => {
    await tokens.end(params.id, person.id);
    return {};
  });

  register(api, ENDPOINTS.people, () => membersOf(context));
  register(api, ENDPOINTS.addPerson, ({ body, person }) => createPerson(context, body, person.id));
  register(api, ENDPOINTS.changePerson, ({ params, body, person }) =>
    changeMember(context, params.id, body, person.id),
  );
  register(api, ENDPOINTS.resetSecret, ({ params, person }) => giveCode(context, params.id, person.id));

  register(api, ENDPOINTS.changeSecret, async ({ body, person, request }) => {
    const [row] = await engine.query<{ secret_hash: string }>('select secret_hash from person where id = $1::uuid', [
      person.id,
    ]);
    if (!row || !(await secretMatches(body.secret, row.secret_hash))) throw new WrongSecret('own');
    await chooseSecret(context, person.id, body.fresh, sessionToken(request));
    return {};
  });

  register(api, ENDPOINTS.looked, async ({ person }) => {
    const before = await context.engine.transaction(async (tx) => {
      const [row] = await tx.query<{ looked_at: string | null }>('select looked_at from person where id = $1::uuid', [
        person.id,
      ]);
      await tx.query('update person set looked_at = $2 where id = $1::uuid', [
        person.id,
        context.clock().toISOString(),
      ]);
      return row?.looked_at ?? null;
    });
    return { before: before === null ? null : new Date(before).toISOString() };
  });

  register(api, ENDPOINTS.sessions, ({ person, request }) =>
    sessions.list(sessionToken(request) ?? '', person.role === 'lead' ? null : person.id),
  );
  register(api, ENDPOINTS.endSession, async ({ params, person }) => {
    if (!(await sessions.endById(params.id, person.role === 'lead' ? null : person.id))) throw new NotFound('session');
    await audit.note('session-ended', person.id, '');
    return {};
  });
}

const unmatchable = hashSecret(randomUUID());
