import type { WorkStepKind } from '@weskopos/core';
import type { WorkState } from '@weskopos/core/works/worksOf';

/** Words of the page a keeper sees; what is told of the vehicle itself comes in the letter. */
export const keeperPage = {
  title: 'Your vehicle',
  thanks: 'Thank you: the workshop has your answer.',
  notTaken: 'Nothing was sent yet. What you typed is still here.',
  nothingAsked: 'Nothing is asked of you any more.',
  until: (day: string) => `This page is open until ${day}.`,
  yourAnswer: 'Your answer',
  choice: { agreed: 'Yes, do it', declined: 'Not now', asked: 'I have a question' },
  words: 'A word or a question',
  name: 'Your name',
  send: 'Send my answers',
  agreeAll: 'Yes to all of it',
  canChange: (most: number) =>
    `You can answer again as long as this page is open: the last answer counts, all are kept. At most ${most} letters each.`,
  step: {
    put: 'asked',
    agreed: 'yes',
    declined: 'not now',
    asked: 'a question',
    planned: 'planned',
    done: 'done',
    withdrawn: 'withdrawn',
    again: 'taken up again',
  } satisfies Record<WorkStepKind, string>,
  said: (day: string, who: string, what: string) => `${day}, ${who}: ${what}`,
  planned: (day: string) => `Planned for ${day}.`,
  closed: (state: WorkState | undefined): string =>
    state === 'done' ? 'This is done.' : 'The workshop does not ask for this any more.',
  pair: (name: string) => `${name}, before and now`,
  then: (day: string) => `Before, ${day}`,
  now: 'Now',
  nameNeeded: 'Please type your name.',
  nameLong: 'At most 60 letters.',
  answerNeeded: 'Please choose an answer for at least one of them.',
  questionNeeded: 'Please type your question.',
  wordsLong: (most: number, typed: number) => `At most ${most} letters; these are ${typed}.`,
  no: {
    unknown: 'There is nothing at this address. Please ask the workshop for a link.',
    over: 'This link is over. Please ask the workshop for a new one.',
  },
};
