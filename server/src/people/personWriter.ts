import { AS_SAID, refused, takes, type NewPerson, type Writer } from '../ledger/change';

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
