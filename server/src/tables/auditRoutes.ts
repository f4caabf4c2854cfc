import { AUDIT_CSV_PATH, ENDPOINTS } from '@weskopos/contract';
import { Readable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import type { Audit } from '../audit/audit';
import { readAudit } from '../audit/readAudit';
import type { Engine } from '../db/engine';
import { requireLead, requirePerson, signedInPerson } from '../people/guard';
import { register, type Api } from '../people/register';
import { csvOf } from './csv';

/** The audit list, for leads. */
export function auditRoutes(
  api: Api,
  { engine, audit, clock }: { readonly engine: Engine; readonly audit: Audit; readonly clock: () => Date },
): void {
  register(api, ENDPOINTS.audit, ({ body }) => readAudit(engine, body));
  api.app.get(AUDIT_CSV_PATH, requirePerson(api), requireLead, async (_request, response) => {
    await audit.note('export', signedInPerson(response).id, 'audit');
    const name = `weskopos-audit-${clock().toISOString().slice(0, 10)}.csv`;
    response.set('Cache-Control', 'no-store').attachment(name).type('text/csv; charset=utf-8');
    async function* text() {
      yield csvOf([['at', 'kind', 'by', 'about', 'id']]);
      let before: string | null = null;
      for (let more = true; more;) {
        const answer = await readAudit(engine, { kind: null, personId: null, before });
        yield csvOf(answer.lines.map(({ at, kind, by, about, id }) => [at, kind, by, about, id]));
        before = answer.lines.at(-1)?.at ?? null;
        ({ more } = answer);
      }
    }
    await pipeline(Readable.from(text()), response);
  });
}
