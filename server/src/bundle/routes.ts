import { BUNDLE_PATHS, ENDPOINTS, idSchema, type BundleScope } from '@weskopos/contract';
import type { RequestHandler } from 'express';
import type { Audit } from '../audit/audit';
import { NotFound, Refused } from '../http/problems';
import { requireLead, requirePerson, signedInPerson } from '../people/guard';
import { register, type Api } from '../people/register';
import type { Imports } from './imports';
import { vehiclesIn } from '../lines/readLines';
import { writeBundle, type BundleSource } from './writeBundle';

/** Bundles going out and coming in. */
export function bundleRoutes(
  api: Api,
  context: BundleSource & { readonly imports: Imports; readonly audit: Audit },
): void {
  const { app } = api;
  const person = requirePerson(api);

  const sent =
    (scopeOf: (id: string) => BundleScope): RequestHandler =>
    async (request, response) => {
      const id = idSchema.safeParse(request.params.id ?? '');
      const scope = scopeOf(id.success ? id.data : '');
      if (scope.kind !== 'workshop' && !id.success) throw new NotFound(scope.kind);
      const ids = await vehiclesIn(context.engine, scope);
      await context.audit.note('export', signedInPerson(response).id, `bundle ${scope.kind}`);
      const day = context.clock().toISOString().slice(0, 10);
      response.set('Cache-Control', 'no-store').type('application/zip').attachment(`weskopos-${scope.kind}-${day}.zip`);
      try {
        await writeBundle(context, scope, ids, response);
      } catch (error) {
        // Half of it is gone out: who takes it sees by its end that it is none.
        response.destroy(error as Error);
        if (!response.closed) throw error;
      }
    };
  app.get(
    BUNDLE_PATHS.workshop,
    person,
    requireLead,
    sent(() => ({ kind: 'workshop' })),
  );
  app.get(
    BUNDLE_PATHS.vehicle,
    person,
    sent((id) => ({ kind: 'vehicle', id })),
  );
  app.get(
    BUNDLE_PATHS.visit,
    person,
    sent((id) => ({ kind: 'visit', id })),
  );

  app.post(BUNDLE_PATHS.imports, person, requireLead, async (request, response) => {
    // What another reader has taken already is no archive any more.
    if (request.readableEnded) throw new Refused(415, 'bundle-no-zip', 'application/zip');
    response.json(await context.imports.look(request, signedInPerson(response).id));
  });
  register(api, ENDPOINTS.takeImport, ({ params, body, person: { id } }) =>
    context.imports.take(params.id, id, body.keepOurs),
  );
  register(api, ENDPOINTS.dropImport, async ({ params }) => {
    await context.imports.drop(params.id);
    return {};
  });
}
