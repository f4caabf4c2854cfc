import type { Endpoint, Person } from '@weskopos/contract';
import type { Express, Request, RequestHandler, Response } from 'express';
import type { z } from 'zod';
import { requireLead, requirePerson, signedInPerson, type Doorkeepers } from './guard';

/** What endpoints are registered on. */
export interface Api extends Doorkeepers {
  readonly app: Express;
}

/** One call of an endpoint, checked by its declaration. */
export interface Call<P, B> {
  readonly params: P;
  readonly body: B;
  /** Set for every endpoint that is not open to anyone. */
  readonly person: Person;
  readonly request: Request;
  readonly response: Response;
}

/** Registers a declared endpoint: who may call, what comes in and what goes out all follow its declaration. */
export function register<P extends z.ZodType, B extends z.ZodType, A extends z.ZodType>(
  api: Api,
  endpoint: Endpoint<P, B, A>,
  handle: (call: Call<z.output<P>, z.output<B>>) => z.input<A> | Promise<z.input<A>>,
): void {
  const answer: RequestHandler = async (request, response) => {
    const params = endpoint.params.parse({ ...request.params });
    const body =
      endpoint.method === 'get' || endpoint.method === 'delete'
        ? (undefined as z.output<B>)
        : endpoint.body.parse(request.body);
    response.json(await handle({ params, body, person: signedInPerson(response), request, response }));
  };
  const guards: Record<Endpoint['access'], RequestHandler[]> = {
    anyone: [],
    'signed-in': [requirePerson(api)],
    lead: [requirePerson(api), requireLead],
  };
  api.app[endpoint.method](endpoint.path, ...guards[endpoint.access], answer);
}
