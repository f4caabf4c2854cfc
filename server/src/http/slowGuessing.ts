import { rateLimit } from 'express-rate-limit';
import type { RequestHandler } from 'express';

const QUARTER_HOUR_MS = 15 * 60 * 1000;
/** Addresses that open nothing, from one network in a quarter of an hour. */
const MOST_GUESSES = 60;

/** Where an address is a key: who guesses is slowed down, who has one is not. */
export const slowGuessing = (): RequestHandler =>
  rateLimit({
    windowMs: QUARTER_HOUR_MS,
    limit: MOST_GUESSES,
    skipSuccessfulRequests: true,
    standardHeaders: 'draft-8',
    legacyHeaders: false,
  });
