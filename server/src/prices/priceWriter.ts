import { AS_SAID, refused, takes, type NewPrices, type Writer } from '../ledger/change';

/** Keeps what the workshop asks from then on; each list stays as it was. */
export const putPrices: Writer<NewPrices> = {
  async decide(tx, _change, { version }) {
    const [newest] = await tx.query<{ version: number }>(
      'select coalesce(max(version), 0)::integer as version from price_list',
    );
    // Somebody else was there first: nothing of theirs is overwritten unseen.
    return newest?.version === version - 1 ? takes(AS_SAID) : refused('rules-changed');
  },
  effect: async (tx, { by, operation }, { version, list }) => {
    await tx.query(
      `insert into price_list (version, list, made_by, made_at)
       values ($1::integer, $2::jsonb, $3::uuid, $4::timestamptz)`,
      [version, JSON.stringify(list), by, operation.at],
    );
  },
};
