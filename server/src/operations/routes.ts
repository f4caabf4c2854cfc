import { ENDPOINTS, type Operation } from '@weskopos/contract';
import type { Context } from '../context';
import { register, type Api } from '../http/register';
import { acceptChanges } from './acceptChanges';

export function operationRoutes(api: Api, { engine, journal, clock, live }: Context): void {
  register(api, ENDPOINTS.sendOperations, async ({ body, person }) => {
    const receivedAt = clock().toISOString();
    const outcomes = await acceptChanges(
      engine,
      journal,
      body.operations.map((operation) => ({ operation, by: person.id, receivedAt })),
    );
    const touched = new Map(body.operations.map((operation) => [visitOf(operation), operation.device]));
    for (const [visitId, device] of touched) if (visitId) live.changed(visitId, { device });
    return outcomes;
  });
}

/** The visit an operation is part of; undefined for those of none. */
function visitOf(operation: Operation): string | undefined {
  return 'inspectionId' in operation.body ? operation.body.inspectionId : undefined;
}
