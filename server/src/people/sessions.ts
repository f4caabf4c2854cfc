import type { Person } from '@weskopos/contract';
import type { Engine } from '../db/engine';
import { newToken, tokenHash } from './secret';

export const SESSION_DAYS = 30;
const MS_PER_DAY = 86_400_000;

/** Open sessions, looked up once and then held: one process has the database, and ending a session forgets it here too. */
export class Sessions {
  private readonly known = new Map<string, { person: Person; expiresAt: number }>();

  constructor(
    private readonly engine: Engine,
    private readonly clock: () => Date,
  ) {}

  /** Opens a session and gives its token, to be kept in the cookie only. */
  async open(person: Person): Promise<string> {
    const token = newToken();
    const expiresAt = new Date(this.clock().getTime() + SESSION_DAYS * MS_PER_DAY).toISOString();
    await this.engine.query('delete from session where expires_at < $1', [this.clock().toISOString()]);
    await this.engine.query('insert into session (token_hash, person_id, expires_at) values ($1, $2, $3)', [
      tokenHash(token),
      person.id,
      expiresAt,
    ]);
    return token;
  }

  async personOf(token: string): Promise<Person | undefined> {
    const hash = tokenHash(token);
    const now = this.clock().getTime();
    const held = this.known.get(hash);
    if (held && held.expiresAt > now) return held.person;
    const [row] = await this.engine.query<Person & { expires_at: string }>(
      'select p.id, p.name, p.role, s.expires_at from session s join person p on p.id = s.person_id where s.token_hash = $1 and s.expires_at > $2',
      [hash, new Date(now).toISOString()],
    );
    if (!row) return undefined;
    const person: Person = { id: row.id, name: row.name, role: row.role };
    this.known.set(hash, { person, expiresAt: Date.parse(row.expires_at) });
    return person;
  }

  async end(token: string): Promise<void> {
    this.known.delete(tokenHash(token));
    await this.engine.query('delete from session where token_hash = $1', [tokenHash(token)]);
  }
}
