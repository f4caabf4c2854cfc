import type { DeviceSession, Person } from '@weskopos/contract';
import type { Engine } from '../db/engine';
import { newToken, tokenHash } from './secret';

export const SESSION_DAYS = 30;
const MS_PER_DAY = 86_400_000;
/** Of what a browser calls itself, so much is kept. */
const MOST_DEVICE = 200;

/** Open sessions, looked up once and then held: one process has the database, and ending a session forgets it here too. */
export class Sessions {
  private readonly known = new Map<string, { person: Person; expiresAt: number }>();

  constructor(
    private readonly engine: Engine,
    private readonly clock: () => Date,
  ) {}

  /** Opens a session and gives its token, to be kept in the cookie only. */
  async open(person: Person, device = ''): Promise<string> {
    const token = newToken();
    const now = this.clock();
    const expiresAt = new Date(now.getTime() + SESSION_DAYS * MS_PER_DAY).toISOString();
    await this.engine.query('delete from session where expires_at < $1', [now.toISOString()]);
    await this.engine.query(
      'insert into session (token_hash, person_id, expires_at, opened_at, device) values ($1, $2, $3, $4, $5)',
      [tokenHash(token), person.id, expiresAt, now.toISOString(), device.slice(0, MOST_DEVICE)],
    );
    return token;
  }

  async personOf(token: string): Promise<Person | undefined> {
    const hash = tokenHash(token);
    const now = this.clock().getTime();
    const held = this.known.get(hash);
    if (held && held.expiresAt > now) return held.person;
    const [row] = await this.engine.query<Person & { expires_at: string }>(
      `select p.id, p.name, p.role, s.expires_at from session s join person p on p.id = s.person_id
       where s.token_hash = $1 and s.expires_at > $2 and p.state = 'here'`,
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

  /** Devices on which somebody is signed in, newest first: of one person, or of all. */
  async list(token: string, personId: string | null): Promise<DeviceSession[]> {
    const rows = await this.engine.query<DeviceSession & { token_hash: string }>(
      `select s.id, s.person_id as "personId", p.name, s.opened_at as "openedAt", s.device, s.token_hash
       from session s join person p on p.id = s.person_id
       where s.expires_at > $1 and ($2::uuid is null or s.person_id = $2::uuid) order by s.opened_at desc, s.id`,
      [this.clock().toISOString(), personId],
    );
    const here = tokenHash(token);
    return rows.map(({ token_hash: hash, ...one }) => ({
      ...one,
      openedAt: new Date(one.openedAt).toISOString(),
      here: hash === here,
    }));
  }

  /** Ends a session by what people know it by. @returns whether there was one */
  async endById(id: string, personId: string | null): Promise<boolean> {
    return this.endWhere('id = $1::uuid and ($2::uuid is null or person_id = $2::uuid)', [id, personId]);
  }

  /** Ends every session of a person, but the one that asks where it is told. */
  async endAllOf(personId: string, but?: string): Promise<void> {
    await this.endWhere('person_id = $1::uuid and token_hash <> $2', [personId, but ? tokenHash(but) : '']);
  }

  private async endWhere(which: string, values: (string | null)[]): Promise<boolean> {
    const ended = await this.engine.query<{ token_hash: string }>(
      `delete from session where ${which} returning token_hash`,
      values,
    );
    for (const { token_hash: hash } of ended) this.known.delete(hash);
    return ended.length > 0;
  }
}
