import { fieldErrors, type FieldError, type Problem } from '@weskopos/contract';
import type { NextFunction, Request, Response } from 'express';
import type { Logger } from 'pino';
import { ZodError } from 'zod';
import { DatabaseError, DatabaseUnavailable } from '../db/engine';
import { StorageFull } from '../ledger/ledger';

/** A request that cannot be met, with the status and code it is answered by. */
export class Refused extends Error {
  constructor(
    readonly status: number,
    readonly code: string,
    readonly about: string,
    readonly errors?: readonly FieldError[],
  ) {
    super(`${code}: ${about}`);
  }
}

/** There is nothing by that name or id. */
export class NotFound extends Refused {
  constructor(what: string) {
    super(404, 'not-found', what);
  }
}
/** Only for who is signed in. */
export class NotSignedIn extends Refused {
  constructor() {
    super(401, 'not-signed-in', 'session');
  }
}
/** Not for this person, or not from that page. */
export class Forbidden extends Refused {
  constructor(why: string) {
    super(403, 'forbidden', why);
  }
}
const WRONG = {
  'sign-in': 'wrong-name-or-secret',
  'setup-code': 'wrong-setup-code',
  own: 'wrong-own-secret',
} as const;
/** The name and secret, or the set-up code, do not belong together. */
export class WrongSecret extends Refused {
  constructor(where: 'sign-in' | 'setup-code' | 'own') {
    super(where === 'own' ? 403 : 401, WRONG[where], where);
  }
}
/** Somebody was there first. */
export class Taken extends Refused {
  constructor(what: 'name' | 'setup') {
    super(409, what === 'name' ? 'name-taken' : 'already-set-up', what);
  }
}

const TITLES: Record<number, string> = {
  503: 'The database is being opened anew',
  507: 'The disk of the server is full',
  400: 'The request is not as it should be',
  401: 'Sign in first',
  403: 'Not allowed',
  404: 'Not found',
  409: 'Already there',
  413: 'Too large',
  415: 'Not a kind that is taken',
  429: 'Too many tries, wait a while',
  500: 'Something went wrong here',
};

/** Translates every error at the edge; the last thing Express asks. What is not known is logged and hidden. */
export function problemHandler(log: Logger) {
  return (error: unknown, request: Request, response: Response, next: NextFunction): void => {
    if (response.headersSent) return next(error);
    const refused = asRefused(error);
    if (!refused) log.error({ err: error, path: request.path }, 'unexpected');
    sendProblem(response, refused ?? new Refused(500, 'unexpected', 'server'));
  };
}

/** Answers with problem details (RFC 9457). */
export function sendProblem(response: Response, refused: Refused): void {
  const problem: Problem = {
    type: `urn:weskopos:problem:${refused.code}`,
    title: TITLES[refused.status] ?? TITLES[400] ?? '',
    status: refused.status,
    code: refused.code,
    detail: refused.about,
    ...(refused.errors && { errors: [...refused.errors] }),
  };
  response.status(refused.status).type('application/problem+json').send(JSON.stringify(problem));
}

function asRefused(error: unknown): Refused | undefined {
  if (error instanceof Refused) return error;
  if (error instanceof DatabaseUnavailable) return new Refused(503, 'database-restarting', 'database');
  if (error instanceof StorageFull || (error instanceof DatabaseError && error.isOfStorage))
    return new Refused(507, 'storage-full', 'storage');
  if (error instanceof ZodError) return new Refused(400, 'invalid', 'body', fieldErrors(error));
  // Express's own body parsers and router mark what the sender did wrong with a status below 500.
  const { status, type } = (error ?? {}) as { status?: unknown; type?: unknown };
  if (typeof status === 'number' && status >= 400 && status < 500) {
    return new Refused(status, status === 413 ? 'too-large' : 'invalid', typeof type === 'string' ? type : 'request');
  }
  return undefined;
}
