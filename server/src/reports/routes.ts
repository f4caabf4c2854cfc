import { ENDPOINTS, PDF_PATH, idSchema, paperStyleSchema } from '@weskopos/contract';
import { composeReport } from '@weskopos/core';
import type { Engine } from '../db/engine';
import type { FleetBook } from '../fleet/fleetBook';
import { NotFound } from '../http/problems';
import { requirePerson } from '../people/guard';
import { register, type Api } from '../people/register';
import { previewRulebook } from './previewRulebook';
import { rulesOfVisit } from '../rules/rulesOfVisit';
import { findVisit } from '../inspections/findVisit';
import { visitsBefore } from '../inspections/sheetOfVisit';
import type { Pdfs } from './pdfs';

/** The report of a visit, and what proposed rules would change. */
export function reportRoutes(
  api: Api,
  { engine, fleet, pdfs }: { readonly engine: Engine; readonly fleet: FleetBook; readonly pdfs: Pdfs },
): void {
  api.app.get(PDF_PATH, requirePerson(api), async (request, response) => {
    const id = idSchema.safeParse(request.params['id']);
    if (!id.success) throw new NotFound('inspection');
    const { name, pdf } = await pdfs.make(id.data, paperStyleSchema.parse({ ...request.query }));
    response.set('Cache-Control', 'no-store').attachment(name).type('application/pdf').send(Buffer.from(pdf));
  });
  register(api, ENDPOINTS.pdfProgress, ({ params }) => pdfs.at(params.id));
  register(api, ENDPOINTS.previewRulebook, ({ body }) => previewRulebook(engine, body));
  register(api, ENDPOINTS.report, async ({ params }) => {
    const found = await findVisit(engine, params.id);
    if (!found) throw new NotFound('inspection');
    const { life, visit } = found;
    const rules = await rulesOfVisit(engine, visit.inspection);
    const report = composeReport(life.vehicle, visit, visitsBefore(life, visit), rules, {
      entries: life.entries,
      fleet: fleet.knowledge,
    });
    return {
      inspectionId: params.id,
      grade: report.verdict.grade,
      counts: report.verdict.counts,
      points: report.verdict.points.map(({ key, result }) => ({
        key,
        grade: result.grade,
        computed: result.computed,
        watch: result.watch,
        corrected: result.corrected,
        closeCall: result.closeCall,
        reasons: [...result.reasons],
      })),
      systems: report.verdict.systems.map((one) => ({ ...one, counts: { ...one.counts } })),
      notSeen: report.notSeen.map(({ key }) => key),
      runOut: [...report.runOut],
    };
  });
}
