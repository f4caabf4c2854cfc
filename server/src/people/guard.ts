import { GUARD_HEADER, type Person } from '@weskopos/contract';
import type { NextFunction, Request, RequestHandler, Response } from 'express';
import type { Sessions } from './sessions';
import { Forbidden, NotSignedIn } from '../http/problems';
import { sessionToken } from './sessionCookie';
import { mayMachine, type Tokens } from './tokens';

const READS = new Set(['GET', 'HEAD', 'OPTIONS']);

/** Changes need our own header, which a form or image on another site cannot send, and an origin that is ours if one is named. */
export function crossSiteGuard(request: Request, _response: Response, next: NextFunction): void {
  if (READS.has(request.method)) return next();
  const origin = request.headers.origin;
  const foreign = origin !== undefined && !sameHost(origin, request.headers.host);
  // A page of another site can send no token: the browser asks us first, and we allow nobody.
  const guarded = request.headers[GUARD_HEADER] !== undefined || bearer(request) !== undefined;
  next(foreign || !guarded ? new Forbidden('cross-site') : undefined);
}

function sameHost(origin: string, host: string | undefined): boolean {
  return URL.canParse(origin) && new URL(origin).host === host;
}

/** The token of a program; undefined where none is shown. */
const bearer = ({ headers }: Request): string | undefined => /^Bearer (\S+)$/.exec(headers.authorization ?? '')?.[1];

/** Who may be let in: people by their session, programs by a token. */
export interface Doorkeepers {
  readonly sessions: Sessions;
  readonly tokens: Tokens;
}

/** Puts the signed-in person, or the lead in whose name a program comes, into `response.locals.person`, or refuses. */
export function requirePerson({ sessions, tokens }: Doorkeepers): RequestHandler {
  return async (request, response, next) => {
    const shown = bearer(request);
    if (shown !== undefined) {
      const machine = await tokens.machineOf(shown);
      if (!machine) return next(new NotSignedIn());
      if (!mayMachine(machine.scope, request.method, request.path)) return next(new Forbidden('token'));
      response.locals.person = machine.person;
      return next();
    }
    const token = sessionToken(request);
    const person: Person | undefined = token ? await sessions.personOf(token) : undefined;
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
