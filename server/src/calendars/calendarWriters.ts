import { AS_SAID, refused, takes, type NewCalendar, type Writer } from '../ledger/change';

/** Lets other programs read a calendar. */
export const giveCalendar: Writer<NewCalendar> = {
  async decide(tx, _change, { vehicleId }) {
    if (vehicleId === null) return takes(AS_SAID);
    const [vehicle] = await tx.query('select 1 from vehicle where id = $1::uuid', [vehicleId]);
    return vehicle ? takes(AS_SAID) : refused('no-vehicle');
  },
  effect: async (tx, { by, operation }, { id, of, vehicleId, tokenHash }) => {
    await tx.query(
      `insert into calendar (id, shows, vehicle_id, token_hash, given_by, given_at)
       values ($1::uuid, $2, $3::uuid, $4, $5::uuid, $6::timestamptz)`,
      [id, of, vehicleId, tokenHash, by, operation.at],
    );
  },
};

/** Ends a calendar: from then on it opens nothing. */
export const endCalendar: Writer<{ readonly id: string }> = {
  decide: () => Promise.resolve(takes(AS_SAID)),
  effect: async (tx, { operation }, { id }) => {
    await tx.query('update calendar set ended_at = $2::timestamptz where id = $1::uuid and ended_at is null', [
      id,
      operation.at,
    ]);
  },
};
