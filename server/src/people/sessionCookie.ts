import { parse } from 'cookie';
import type { Request, Response } from 'express';
import { SESSION_DAYS } from './sessions';

/** What the cookie is called. */
export const SESSION_COOKIE = 'weskopos_session';
const options = { httpOnly: true, sameSite: 'strict', path: '/' } as const;

/** The session's token of a request; undefined without the cookie. */
export function sessionToken(request: Request): string | undefined {
  return parse(request.headers.cookie ?? '')[SESSION_COOKIE];
}

/** Hands the session's token to the browser, out of reach of scripts and other sites. */
export function setSessionCookie(response: Response, token: string): void {
  response.cookie(SESSION_COOKIE, token, {
    ...options,
    secure: response.req.secure,
    maxAge: SESSION_DAYS * 86_400_000,
  });
}

/** Takes the session's token back. */
export function clearSessionCookie(response: Response): void {
  response.clearCookie(SESSION_COOKIE, options);
}
