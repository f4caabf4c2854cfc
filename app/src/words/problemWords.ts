import { ServerProblem, Unreachable } from '../sync/transport';

const WORDS: Record<string, string> = {
  'wrong-name-or-secret': 'Name or PIN is not right.',
  'wrong-setup-code': 'The code is not the one the server printed.',
  'too-many-tries': 'Too many tries. Wait a quarter of an hour.',
  'name-taken': 'Somebody has this name already.',
  'already-set-up': 'This workshop is set up already. Reload the page and sign in.',
  'wrong-own-secret': 'The PIN or password now is not right. Nothing was changed.',
  'choose-secret': 'Choose one of your own, not the code.',
  'last-lead': 'This is the last lead who is here. Make somebody else a lead first.',
  'prices-changed': 'Somebody else has changed the prices meanwhile.',
  forbidden: 'Only a workshop lead may do this.',
};

/** What happened and what to do, for any failed exchange with the server. */
export function problemWords(error: unknown): string {
  if (error instanceof Unreachable)
    return 'The workshop’s server was not reached. Check the network and try again; nothing is lost.';
  if (error instanceof ServerProblem) return WORDS[error.problem.code] ?? `${error.problem.title}.`;
  return 'Something went wrong on this device. Try again.';
}
