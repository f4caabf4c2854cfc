import { MOST_AUDIT_LINES, type AuditAnswer, type AuditLine } from '@weskopos/contract';
import type { Queries } from '../db/engine';

/** What of the audit list is asked for. */
export interface AuditAsked {
  readonly kind: string | null;
  readonly personId: string | null;
  readonly before: string | null;
}

/** Lines of the audit list, newest first. */
export async function readAudit(db: Queries, { kind, personId, before }: AuditAsked): Promise<AuditAnswer> {
  const rows = await db.query<{
    id: string;
    at: string;
    kind: AuditLine['kind'];
    by: string | null;
    about: string;
    person: string | null;
    code: string | null;
    token: string | null;
  }>(
    `select a.id, a.at, a.kind, p.name as by, a.about, s.name as person, v.fleet_code as code, m.name as token
     from audit a left join person p on p.id = a.person_id left join person s on s.id = a.subject
       left join inspection i on i.id = a.subject left join vehicle v on v.id = coalesce(i.vehicle_id, a.subject)
       left join machine_token m on m.id = a.subject
     where ($1::text is null or a.kind = $1) and ($2::uuid is null or a.person_id = $2::uuid)
       and ($3::timestamptz is null or a.at < $3::timestamptz)
     order by a.at desc, a.id limit ${MOST_AUDIT_LINES + 1}`,
    [kind, personId, before],
  );
  return {
    more: rows.length > MOST_AUDIT_LINES,
    lines: rows.slice(0, MOST_AUDIT_LINES).map(({ id, at, kind: of, by, about, person, code, token }) => ({
      id,
      at: new Date(at).toISOString(),
      kind: of,
      by,
      about: [person ?? code ?? token, about].filter(Boolean).join(': '),
    })),
  };
}
