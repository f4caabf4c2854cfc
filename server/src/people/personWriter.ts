import type { Role } from '@weskopos/contract';
import {
  AS_SAID,
  refused,
  takes,
  type NewPerson,
  type NewSecret,
  type PersonChange,
  type Writer,
} from '../ledger/change';

/** Adds a person. The name is refused as `already-there` when somebody has it, whatever the case of its letters. */
export const addPerson: Writer<NewPerson> = {
  async decide(tx, _change, { name }) {
    const [other] = await tx.query('select 1 from person where lower(name) = lower($1)', [name]);
    return other ? refused('already-there') : takes(AS_SAID);
  },
  async effect(tx, { operation }, { id, name, role, secretHash }) {
    await tx.query(
      'insert into person (id, name, role, secret_hash, created_at) values ($1::uuid, $2, $3, $4, $5::timestamptz)',
      [id, name, role, secretHash, operation.at],
    );
  },
};

/** Changes what somebody may do. The last lead who is here stays one: else nobody could ever let anybody in again. */
export const changePerson: Writer<PersonChange> = {
  async decide(tx, _change, { id, role, state }) {
    const [known] = await tx.query<{ role: Role; state: string }>(
      'select role, state from person where id = $1::uuid',
      [id],
    );
    if (!known) return refused('no-person');
    const leads = (role ?? known.role) === 'lead' && (state ?? known.state) === 'here';
    if (leads) return takes(AS_SAID);
    const [other] = await tx.query(`select 1 from person where role = 'lead' and state = 'here' and id <> $1::uuid`, [
      id,
    ]);
    return other ? takes(AS_SAID) : refused('last-lead');
  },
  async effect(tx, _change, { id, role, state }) {
    await tx.query('update person set role = coalesce($2, role), state = coalesce($3, state) where id = $1::uuid', [
      id,
      role ?? null,
      state ?? null,
    ]);
  },
};

/** Gives somebody another secret. */
export const setSecret: Writer<NewSecret> = {
  async decide(tx, _change, { id }) {
    const [known] = await tx.query('select 1 from person where id = $1::uuid', [id]);
    return known ? takes(AS_SAID) : refused('no-person');
  },
  async effect(tx, _change, { id, secretHash, onceUntil }) {
    await tx.query('update person set secret_hash = $2, once_until = $3::timestamptz where id = $1::uuid', [
      id,
      secretHash,
      onceUntil,
    ]);
  },
};
