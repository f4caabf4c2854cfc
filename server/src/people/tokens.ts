import type { Person, Token, TokenScope } from '@weskopos/contract';
import { randomUUID } from 'node:crypto';
import type { Engine } from '../db/engine';
import { NotFound } from '../http/problems';
import { AS_SAID, takes, type NewToken, type Writer } from '../ledger/change';
import { takeOwn, type OwnNeeds } from '../ledger/takeOwn';
import { newToken, tokenHash } from './secret';

/** By this one knows a token of ours, in a log or a text where it should not be. */
const PREFIX = 'weskopos_';

/** A program that came in by its token: it acts in the name of the lead who gave it. */
export interface Machine {
  readonly person: Person;
  readonly scope: TokenScope;
}

interface TokenNeeds extends OwnNeeds {
  readonly engine: Engine;
}

/** Tokens that programs come in by: kept by their hashes, ended by a lead, and with the lead who gave them. */
export class Tokens {
  constructor(private readonly needs: TokenNeeds) {}

  async list(): Promise<Token[]> {
    const rows = await this.needs.engine.query<Omit<Token, 'givenBy' | 'givenAt'> & { by: string; given_at: string }>(
      `select m.id, m.name, m.scope, p.name as by, m.given_at from machine_token m join person p on p.id = m.given_by
       where m.ended_at is null order by m.given_at, m.id`,
    );
    return rows.map(({ by, given_at: at, ...one }) => ({ ...one, givenBy: by, givenAt: new Date(at).toISOString() }));
  }

  /** Gives a token, told this once. */
  async give(name: string, scope: TokenScope, by: Person): Promise<Token & { readonly token: string }> {
    const [id, token] = [randomUUID(), `${PREFIX}${newToken()}`];
    const body = { id, name, scope, tokenHash: tokenHash(token) };
    const { at: givenAt } = await takeOwn(this.needs, { kind: 'token.give', body }, by.id);
    return { id, name, scope, givenBy: by.name, givenAt, token };
  }

  async end(id: string, by: string): Promise<void> {
    const [there] = await this.needs.engine.query(
      'select 1 from machine_token where id = $1::uuid and ended_at is null',
      [id],
    );
    if (!there) throw new NotFound('token');
    await takeOwn(this.needs, { kind: 'token.end', body: { id } }, by);
  }

  /** Who comes in by a token; undefined for one that is ended, or whose lead is a lead no more. */
  async machineOf(token: string): Promise<Machine | undefined> {
    if (!token.startsWith(PREFIX)) return undefined;
    const [row] = await this.needs.engine.query<Person & { scope: TokenScope }>(
      `select p.id, p.name, p.role, m.scope from machine_token m join person p on p.id = m.given_by
       where m.token_hash = $1 and m.ended_at is null and p.state = 'here' and p.role = 'lead'`,
      [tokenHash(token)],
    );
    return row && { person: { id: row.id, name: row.name, role: row.role }, scope: row.scope };
  }
}

export const giveToken: Writer<NewToken> = {
  decide: () => Promise.resolve(takes(AS_SAID)),
  effect: async (tx, { by, operation }, { id, name, scope, tokenHash: hash }) => {
    await tx.query(
      `insert into machine_token (id, name, scope, token_hash, given_by, given_at)
       values ($1::uuid, $2, $3, $4, $5::uuid, $6::timestamptz)`,
      [id, name, scope, hash, by, operation.at],
    );
  },
};

export const endToken: Writer<{ readonly id: string }> = {
  decide: () => Promise.resolve(takes(AS_SAID)),
  effect: async (tx, { operation }, { id }) => {
    await tx.query('update machine_token set ended_at = $2::timestamptz where id = $1::uuid and ended_at is null', [
      id,
      operation.at,
    ]);
  },
};

/** What no program may touch: who may come in, and how; what the server keeps of itself. */
const CLOSED = [
  '/api/people',
  '/api/session',
  '/api/sessions',
  '/api/tokens',
  '/api/audit',
  '/api/calendars',
  '/api/storage',
  '/api/setup',
];
const READS = new Set(['GET', 'HEAD']);

/** Whether a program may ask for this. */
export function mayMachine(scope: TokenScope, method: string, path: string): boolean {
  // The router takes large letters for small ones.
  const asked = path.toLowerCase();
  if (CLOSED.some((closed) => asked === closed || asked.startsWith(`${closed}/`) || asked.startsWith(`${closed}.`)))
    return false;
  return scope === 'write' || READS.has(method);
}
