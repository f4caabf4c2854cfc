import { asTable } from './asTable';
const changes = (count: number) => (count === 1 ? '1 change' : `${count} changes`);
const wait = (count: number) => `${changes(count)} ${count === 1 ? 'waits' : 'wait'}`;

/** The quiet line: what is not yet sent, and that nothing is lost. */
export const syncWords = {
  storageFailed: 'This device could not keep the last change. Free some storage, then make it again.',
  nothingKept:
    'This browser keeps nothing on this device. You can work while you are connected; what is not sent is lost when the page closes. Allow storage for this page, or leave the private window.',
  writing: 'Saving on this device…',
  nothingWaits: {
    idle: 'Saved and sent.',
    sending: 'Saved and sent.',
    'signed-out': 'Saved and sent.',
    unreachable: 'No connection. Everything is saved on this device.',
    full: 'Saved and sent. The workshop’s disk is full: it takes nothing more until there is room.',
    newer: 'Saved and sent.',
  },
  waiting: {
    idle: (count: number) => `Saved on this device. Sending ${changes(count)}…`,
    sending: (count: number) => `Saved on this device. Sending ${changes(count)}…`,
    unreachable: (count: number) => `Saved on this device. ${wait(count)} for the workshop.`,
    'signed-out': (count: number) => `Saved on this device. Sign in to send ${changes(count)}.`,
    full: (count: number) => `Saved on this device. The workshop’s disk is full; ${wait(count)} until there is room.`,
    newer: (count: number) => `Saved on this device. ${wait(count)} until the workshop’s server is as new as this app.`,
  },
  ofOthers: (count: number, held: number) =>
    `Saved on this device. ${wait(count)} for who made them to sign in${held > 0 ? `; ${held} of them are yours and build on theirs` : ''}.`,
  photosRefused: (count: number) =>
    count === 1
      ? 'One photo was not taken by the workshop; it is marked where it is shown.'
      : `${count} photos were not taken by the workshop; they are marked where they are shown.`,
  photoState: {
    waiting: 'not sent yet',
    refused: 'not taken',
  },
  photoReason: asTable({
    'not-a-picture': 'it is no picture the workshop can read',
    'too-large': 'it is too large',
    'too-many-pixels': 'it has too many pixels',
  }),
};

/** A change the workshop did not take. */
export const refusedWords = {
  notTaken: 'not taken by the workshop',
  unreadable: 'it was not readable',
  sheet: 'the sheet of',
  visit: 'the visit of',
  signature: 'the signature',
  amendment: 'the amendment',
  voiding: 'the giving up of a visit',
  correction: 'the correction of an arrival',
  amend: 'Add it as an amendment',
  amendWhy: 'Written down before the visit was signed, and arrived after it.',
  act: 'what was done on',
  entry: 'the log entry of',
  rules: 'the rules',
  sendAgain: 'Send it again',
  delete: 'Delete it',
  deleteForGood: 'Delete for good',
  keep: 'Keep it',
};

/** Where what this device keeps cannot be opened. */
export const storageWords = {
  newer: {
    title: 'Made by a newer app',
    text: 'A newer version of this app has written on this device. Nothing was changed. Open the newest version: connect, then load the page again.',
  },
  blocked: {
    title: 'Open in another tab',
    text: 'An older version of this app is still open in another tab or window. Close it there; what it has saved stays.',
  },
  again: 'Load again',
};

/** When drawing a page failed. */
export const failureWords = {
  title: 'This page could not be shown',
  text: 'What was saved on this device is still there. Try again; if it fails once more, copy the report for whoever looks after the workshop’s server.',
  again: 'Try again',
  yard: 'To the yard',
  copy: 'Copy the report',
  copied: 'Copied',
};
