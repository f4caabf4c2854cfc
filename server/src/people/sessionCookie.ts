import { parse } from 'cookie';
import type { Request, Response } from 'express';
import { SESSION_DAYS } from './sessions';

const NAME = 'weskopos_session';
const options = { httpOnly: true, sameSite: 'strict', path: '/' } as const;

export function sessionToken(request: Request): string | undefined {
  return parse(request.headers.cookie ?? '')[NAME];
}

export function setSessionCookie(response: Response, token: string): void {
  response.cookie(NAME, token, { ...options, secure: response.req.secure, maxAge: SESSION_DAYS * 86_400_000 });
}

export function clearSessionCookie(response: Response): void {
  response.clearCookie(NAME, options);
}
