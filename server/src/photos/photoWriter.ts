import { AS_SAID, refused, takes, type NewPhoto, type Writer } from '../ledger/change';

/** Notes a photo whose file is already on disk. */
export const addPhoto: Writer<NewPhoto> = {
  async decide(tx, _change, { id }) {
    const [there] = await tx.query('select 1 from photo where id = $1::uuid', [id]);
    return there ? refused('already-there') : takes(AS_SAID);
  },
  async effect(tx, { by, operation }, { id, sha256, width, height, bytes }) {
    await tx.query(
      `insert into photo (id, sha256, width, height, bytes, added_by, added_at)
       values ($1::uuid, $2, $3::integer, $4::integer, $5::integer, $6::uuid, $7::timestamptz)`,
      [id, sha256, width, height, bytes, by, operation.at],
    );
  },
};
