import type { Role } from '@weskopos/contract';
import type { Href } from 'expo-router';
import { spine as say } from '@weskopos/words/en/pages/spine';

/** What the spine leads to by name: places, and a vehicle's own pages. */
export type SpineId = keyof typeof say.place | keyof typeof say.page;

/** Somewhere the spine leads to: its word and the letter that leads there after `g`. */
export interface SpineStop {
  readonly id: SpineId;
  readonly word: string;
  readonly href: Href;
  readonly letter: string;
  /** What else is there: addresses that belong to it. */
  readonly holds: RegExp;
}

interface Place extends SpineStop {
  /** Who may go there; anybody where it is not told. */
  readonly roles?: readonly Role[];
}

const place = (id: keyof typeof say.place, path: string, letter: string, roles?: readonly Role[]) =>
  ({
    id,
    word: say.place[id],
    href: path as Href,
    letter,
    holds: path === '/' ? /^\/$/ : new RegExp(`^${path}(/|$)`),
    ...(roles ? { roles } : {}),
  }) satisfies Place;

const LEADS = ['lead'] as const;

/** Every place but oneself, in the order one works. */
const PLACES: readonly Place[] = [
  place('yard', '/', 'y'),
  place('works', '/works', 'o'),
  place('fleet', '/fleet', 'f'),
  place('bench', '/bench', 'b'),
  place('scores', '/scorecard', 'c'),
  place('rules', '/rules', 'r', LEADS),
  place('people', '/people', 'p', LEADS),
  place('data', '/data', 'd', LEADS),
];

/** Where one reads who is signed in, and leaves. */
export const ONESELF: SpineStop = place('me', '/me', 'm');

/** The places of a role. */
export const placesFor = (role: Role): readonly SpineStop[] =>
  PLACES.filter(({ roles }) => roles === undefined || roles.includes(role));
