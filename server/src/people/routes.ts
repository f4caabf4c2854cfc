import { ENDPOINTS, type Person } from '@weskopos/contract';
import { randomUUID } from 'node:crypto';
import type { Engine } from '../db/engine';
import type { Ledger } from '../ledger/ledger';
import type { Sessions } from './sessions';
import { NotSignedIn, Taken, WrongSecret } from '../http/problems';
import { createPerson } from './createPerson';
import { register, type Api } from './register';
import { clearSessionCookie, sessionToken, setSessionCookie } from './sessionCookie';
import { hashSecret, secretMatches } from './secret';

interface PeopleNeeds {
  readonly engine: Engine;
  readonly ledger: Ledger;
  readonly sessions: Sessions;
  readonly clock: () => Date;
  /** Lets the first lead in; null once there are people. */
  readonly setupCode: string | null;
}

/** Setting up, signing in and out, and who belongs to the workshop. */
export function peopleRoutes(api: Api, context: PeopleNeeds): void {
  const { engine, sessions } = context;
  const isEmpty = async () => (await engine.query('select 1 from person limit 1')).length === 0;

  register(api, ENDPOINTS.workshop, async () => ({ empty: await isEmpty() }));

  register(api, ENDPOINTS.setup, async ({ body, response }) => {
    if (!context.setupCode || !(await isEmpty())) throw new Taken('setup');
    if (body.code.toUpperCase() !== context.setupCode) throw new WrongSecret('setup-code');
    const lead = await createPerson(context, { ...body, role: 'lead' }, null);
    setSessionCookie(response, await sessions.open(lead));
    return lead;
  });

  register(api, ENDPOINTS.signIn, async ({ body, response }) => {
    const [row] = await engine.query<Person & { secret_hash: string }>(
      'select * from person where lower(name) = lower($1)',
      [body.name],
    );
    // An unknown name costs the same work as a wrong secret, so that names cannot be told apart by time.
    const matches = await secretMatches(body.secret, row?.secret_hash ?? (await unmatchable));
    if (!row || !matches) throw new WrongSecret('sign-in');
    const person: Person = { id: row.id, name: row.name, role: row.role };
    setSessionCookie(response, await sessions.open(person));
    return person;
  });

  register(api, ENDPOINTS.whoAmI, ({ person }) => person);

  register(api, ENDPOINTS.signOut, async ({ request, response }) => {
    const token = sessionToken(request);
    if (!token) throw new NotSignedIn();
    await sessions.end(token);
    clearSessionCookie(response);
    return {};
  });

  register(api, ENDPOINTS.people, () => engine.query<Person>('select id, name, role from person order by name'));
  register(api, ENDPOINTS.addPerson, ({ body, person }) => createPerson(context, body, person.id));
}

const unmatchable = hashSecret(randomUUID());
