import type { FileRead } from '@weskopos/contract';
import { parentPort } from 'node:worker_threads';
import { SheetRefused, openSheet, type OpenedSheet } from './openSheet';
import { SheetPlanner, type KnownLife, type SheetGiven, type SheetPlanned } from './sheetPlanner';

/** Tables are read and judged in a thread of their own: the server's event loop never stands still for them. */

export type SheetRequest =
  | { readonly kind: 'look'; readonly file: string; readonly said: FileRead | undefined }
  | { readonly kind: 'open'; readonly given: SheetGiven }
  | { readonly kind: 'take'; readonly known: KnownLife }
  | { readonly kind: 'finish' };

/** What the thread says to the server. */
export type SheetReply =
  | { readonly kind: 'looked'; readonly opened: OpenedSheet }
  | { readonly kind: 'opened'; readonly rows: number; readonly ids: readonly string[] }
  | { readonly kind: 'taken'; readonly done: number }
  | { readonly kind: 'done'; readonly planned: SheetPlanned }
  | { readonly kind: 'refused'; readonly code: SheetRefused['code']; readonly about: string }
  | { readonly kind: 'failed'; readonly message: string };

const port = parentPort;
if (!port) throw new Error('this file runs as a worker thread only');

let planner: SheetPlanner | null = null;

async function answer(request: SheetRequest): Promise<SheetReply> {
  switch (request.kind) {
    case 'look':
      return { kind: 'looked', opened: await openSheet(request.file, request.said) };
    case 'open':
      planner = new SheetPlanner(request.given);
      return { kind: 'opened', ...(await planner.open()) };
    case 'take':
      return { kind: 'taken', done: (await planner?.take(request.known)) ?? 0 };
    case 'finish':
      if (!planner) throw new Error('asked before it was opened');
      return { kind: 'done', planned: await planner.finish() };
  }
}

// One after the other, in the order they came.
let under: Promise<void> = Promise.resolve();
port.on('message', (request: SheetRequest) => {
  under = under
    .then(() => answer(request))
    .catch((error: unknown): SheetReply => {
      planner?.stop();
      if (error instanceof SheetRefused) return { kind: 'refused', code: error.code, about: error.about };
      return { kind: 'failed', message: error instanceof Error ? error.message : String(error) };
    })
    .then((reply) => port.postMessage(reply));
});
