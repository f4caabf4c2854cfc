import { ENDPOINTS, SHEETS_PATH, idSchema } from '@weskopos/contract';
import { pipeline } from 'node:stream/promises';
import { NotFound, Refused } from '../http/problems';
import { requireLead, requirePerson } from '../people/guard';
import { register, type Api } from '../people/register';
import type { Sheets } from './sheets';

/** Letters of a file's name that are kept. */
const MOST_NAME = 120;

/** A file's name as it can be kept, and told in one line. */
const keptName = (name: string) =>
  name
    .replace(/[\p{Cc}\p{Surrogate}]/gu, '')
    .trim()
    .slice(0, MOST_NAME)
    .trim();

/** Tables of other programs coming in. */
export function sheetRoutes(api: Api, { sheets }: { readonly sheets: Sheets }): void {
  const { app } = api;
  const lead = [requirePerson(api), requireLead];
  app.post(SHEETS_PATH, ...lead, async (request, response) => {
    // What another reader has taken already is no file any more.
    if (request.readableEnded) throw new Refused(415, 'sheet-unreadable', 'application/octet-stream');
    const name = typeof request.query.name === 'string' ? keptName(request.query.name) : '';
    response.json(await sheets.send(request, name || 'table'));
  });
  app.get(`${SHEETS_PATH}/:id/report`, ...lead, async (request, response) => {
    const id = idSchema.safeParse(request.params.id);
    if (!id.success) throw new NotFound('table');
    const { name, content } = sheets.report(id.data);
    response
      .set('Cache-Control', 'no-store')
      .attachment(`${name.replace(/\.\w+$/, '')}-rows.csv`)
      .type('text/csv; charset=utf-8');
    await pipeline(content, response);
  });
  register(api, ENDPOINTS.lookAtSheet, ({ params, body }) => sheets.look(params.id, body));
  register(api, ENDPOINTS.planSheet, ({ params, body, person }) => sheets.plan(params.id, body, person));
  register(api, ENDPOINTS.takeSheet, ({ params, body, person }) =>
    sheets.take(params.id, body.reading, person, body.leaveRefused),
  );
  register(api, ENDPOINTS.dropSheet, async ({ params }) => {
    await sheets.drop(params.id);
    return {};
  });
  register(api, ENDPOINTS.sheetProgress, ({ params }) => sheets.progress(params.id));
}
