import { ENDPOINTS } from '@weskopos/contract';
import type { Context } from '../context';
import { register, type Api } from '../http/register';
import { acceptChanges } from './acceptChanges';

export function operationRoutes(api: Api, { engine, journal, clock }: Context): void {
  register(api, ENDPOINTS.sendOperations, ({ body, person }) => {
    const receivedAt = clock().toISOString();
    return acceptChanges(
      engine,
      journal,
      body.operations.map((operation) => ({ operation, by: person.id, receivedAt })),
    );
  });
}
