import type { Rulebook } from '@weskopos/core';
import { AS_SAID, refused, takes, type Writer } from '../ledger/change';

/**
 * Adds the next version of the workshop's rules; earlier ones stay for the visits made under them. Refused unless it
 * follows the newest: two leads editing at once do not overwrite each other.
 */
export const putRulebook: Writer<Rulebook> = {
  async decide(tx, { by }, { version }) {
    const [facts] = await tx.query<{ lead: boolean; newest: number }>(
      `select exists (select 1 from person where id = $1::uuid and role = 'lead') as lead, (select coalesce(max(version), 0) from rulebook) as newest`,
      [by],
    );
    if (!facts?.lead) return refused('lead-only');
    return facts.newest + 1 === version ? takes(AS_SAID) : refused('rules-changed');
  },
  async effect(tx, { by, operation }, rulebook) {
    await tx.query(
      'insert into rulebook (version, body, made_by, made_at) values ($1::integer, $2::jsonb, $3::uuid, $4::timestamptz)',
      [rulebook.version, JSON.stringify(rulebook), by, operation.at],
    );
  },
};
