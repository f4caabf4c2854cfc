import { AS_SAID, refused, takes, type NewLink, type Writer } from '../ledger/change';

/** Gives a keeper a link to what he is told. */
export const giveLink: Writer<NewLink> = {
  async decide(tx, _change, { vehicleId }) {
    const [vehicle] = await tx.query('select 1 from vehicle where id = $1::uuid', [vehicleId]);
    return vehicle ? takes(AS_SAID) : refused('no-vehicle');
  },
  effect: async (tx, { by, operation }, { id, vehicleId, tokenHash, letter, until }) => {
    await tx.query(
      `insert into keeper_link (id, vehicle_id, token_hash, letter, given_by, given_at, until)
       values ($1::uuid, $2::uuid, $3, $4::jsonb, $5::uuid, $6::timestamptz, $7::timestamptz)`,
      [id, vehicleId, tokenHash, JSON.stringify(letter), by, operation.at, until],
    );
  },
};

/** Withdraws a link: from then on it opens nothing. */
export const endLink: Writer<{ readonly id: string }> = {
  decide: () => Promise.resolve(takes(AS_SAID)),
  effect: async (tx, { operation }, { id }) => {
    await tx.query('update keeper_link set ended_at = $2::timestamptz where id = $1::uuid and ended_at is null', [
      id,
      operation.at,
    ]);
  },
};
