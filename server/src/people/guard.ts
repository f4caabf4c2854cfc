import { GUARD_HEADER, type Person } from '@weskopos/contract';
import type { NextFunction, Request, RequestHandler, Response } from 'express';
import type { Sessions } from './sessions';
import { Forbidden, NotSignedIn } from '../http/problems';
import { sessionToken } from './sessionCookie';

const READS = new Set(['GET', 'HEAD', 'OPTIONS']);

/** Changes need our own header, which a form or image on another site cannot send, and an origin that is ours if one is named. */
export function crossSiteGuard(request: Request, _response: Response, next: NextFunction): void {
  if (READS.has(request.method)) return next();
  const origin = request.headers.origin;
  const foreign = origin !== undefined && !sameHost(origin, request.headers.host);
  next(foreign || request.headers[GUARD_HEADER] === undefined ? new Forbidden('cross-site') : undefined);
}

function sameHost(origin: string, host: string | undefined): boolean {
  return URL.canParse(origin) && new URL(origin).host === host;
}

/** Puts the signed-in person into `response.locals.person`, or refuses. */
export function requirePerson(context: { readonly sessions: Sessions }): RequestHandler {
  return async (request, response, next) => {
    const token = sessionToken(request);
    const person: Person | undefined = token ? await context.sessions.personOf(token) : undefined;
    if (!person) return next(new NotSignedIn());
    response.locals.person = person;
    next();
  };
}

/** Who {@link requirePerson} let in. */
export function signedInPerson(response: Response): Person {
  return response.locals.person as Person;
}

export const requireLead: RequestHandler = (_request, response, next) => {
  next(signedInPerson(response).role === 'lead' ? undefined : new Forbidden('lead-only'));
};
