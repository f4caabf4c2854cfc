import type { Operation, OperationOutcome } from '@weskopos/contract';
import { MOST_OPERATIONS } from '@weskopos/contract/device';
import type { DeviceStore } from './deviceStore';
import { mayGo } from './dependencies';
import { ServerFailed, ServerProblem, Unreachable } from './transport';

/** How what waits on the device stands with the workshop. */
export interface SyncState {
  /** Changes and photos still on this device only. */
  readonly waiting: number;
  /** Of these, how many somebody else made here: they go when that person signs in. */
  readonly ofOthers: number;
  /** Of the person's own, how many build on those: they wait for them. */
  readonly held: number;
  readonly refused: number;
  /** Photos the workshop does not take. */
  readonly refusedPhotos: number;
  /** `full`: the workshop's disk takes nothing; `newer`: this app is newer than the workshop's server. */
  readonly link: 'idle' | 'sending' | 'unreachable' | 'signed-out' | 'full' | 'newer';
}

/** What the sync needs of the world around it. */
export interface SyncPorts {
  readonly store: DeviceStore;
  /** Whose session it is; null while signed out. */
  readonly person: () => string | null;
  /** Whether the workshop has a vehicle by this id. */
  readonly knows: (vehicleId: string) => boolean;
  readonly send: (operations: Operation[]) => Promise<OperationOutcome[]>;
  readonly sendPhoto: (id: string, blob: Blob) => Promise<void>;
  /** Runs `work` after `ms`; gives back how to call it off. */
  readonly later: (work: () => void, ms: number) => () => void;
  readonly onState: (state: SyncState) => void;
  /** An operation the server has now, before it leaves the queue. */
  readonly onTaken: (operation: Operation) => Promise<void>;
  /** An operation or photo the server will never take. */
  readonly onRefused: (operation: Operation) => void;
}

const FIRST_WAIT_MS = 1000;
const LONGEST_WAIT_MS = 30_000;
/** One trip's worth: small enough that a bad one is soon alone. */
const BATCH = Math.min(50, MOST_OPERATIONS);

/**
 * Drains the device's queue in order: send, wait for the acknowledgement, drop. A trip that fails anywhere leaves the queue
 * as it was and is tried again with growing pauses; sending twice is harmless since the server applies an id once.
 */
export function createSync(ports: SyncPorts) {
  const { store } = ports;
  let running: Promise<void> | null = null;
  let again = false;
  let pause = FIRST_WAIT_MS;
  let cancelRetry = () => {};

  /** Changes the server failed at in this trip: they hold nobody up, and are tried again in the next. */
  let failing = new Set<string>();

  const report = async (link: SyncState['link']) => {
    const [queue, photos, refused] = await Promise.all([store.queue(), store.photos(), store.refused()]);
    const waiting = [...queue, ...photos.filter(({ state }) => state === 'waiting')];
    ports.onState({
      waiting: waiting.length,
      ofOthers: waiting.filter(({ by }) => by !== ports.person()).length,
      held: mayGo(queue, ports.person(), ports.knows).held.length,
      refused: refused.length,
      refusedPhotos: photos.length - (waiting.length - queue.length),
      link,
    });
  };

  /** Writes the change down, then starts sending; resolves when it is on the device's disk. */
  async function record(operation: Operation, by: string): Promise<void> {
    await store.enqueue({ operation, by });
    void kick();
  }

  async function recordPhoto(id: string, blob: Blob, by: string): Promise<void> {
    await store.keepPhoto({ id, blob, by, state: 'waiting', reason: null });
    void kick();
  }

  /** Sends what waits, now. Resolves when it is all sent or the trip failed. */
  function kick(): Promise<void> {
    again = true;
    running ??= run();
    return running;
  }

  async function run(): Promise<void> {
    cancelRetry();
    // `running` is cleared in the tick that finds nothing left: a change in between would wait for the next one.
    while (again) {
      again = false;
      try {
        await report('sending');
        failing = new Set();
        await drain(BATCH);
        await drainPhotos();
        if (failing.size > 0) throw new Unreachable('the server failed at some of it');
        pause = FIRST_WAIT_MS;
        await report('idle');
      } catch (error) {
        const link = linkAfter(error);
        await report(link);
        if (link !== 'signed-out') {
          cancelRetry = ports.later(() => void kick(), pause);
          pause = Math.min(pause * 2, LONGEST_WAIT_MS);
        }
        break;
      }
    }
    running = null;
  }

  async function drain(size: number): Promise<void> {
    for (;;) {
      const { go } = mayGo(await store.queue(), ports.person(), ports.knows, failing);
      const batch = go.slice(0, size);
      const [only] = batch;
      if (!only) return;
      let outcomes: OperationOutcome[];
      try {
        outcomes = await ports.send(batch);
      } catch (error) {
        if (!isOfContent(error)) throw error;
        // Nothing of such a batch was taken. One by one the sound ones go through and the one at fault stands aside.
        if (batch.length > 1) await drain(1);
        else if (error instanceof ServerFailed) failing.add(only.id);
        else await refuse(only, 'invalid');
        continue;
      }
      const byId = new Map(outcomes.map((outcome) => [outcome.id, outcome]));
      for (const operation of batch) {
        const outcome = byId.get(operation.id);
        if (!outcome) continue;
        if (outcome.refusal) await refuse(operation, outcome.refusal);
        else await ports.onTaken(operation);
      }
      await store.settle(outcomes.map(({ id }) => id));
      if (!batch.some(({ id }) => byId.has(id))) throw new Error('the server acknowledged none of what was sent');
      await report('sending');
    }
  }

  async function refuse(operation: Operation, refusal: OperationOutcome['refusal'] | 'invalid'): Promise<void> {
    if (refusal) await store.refuse({ operation, refusal });
    await store.settle([operation.id]);
    ports.onRefused(operation);
  }

  async function drainPhotos(): Promise<void> {
    const mine = (await store.photos()).filter(({ by, state }) => state === 'waiting' && by === ports.person());
    for (const photo of mine) {
      try {
        await ports.sendPhoto(photo.id, photo.blob);
        await store.dropPhoto(photo.id);
      } catch (error) {
        if (!(error instanceof ServerProblem) || !PHOTO_REFUSED.includes(error.problem.status)) throw error;
        // It stays to be seen on this device, with why, and is not sent again.
        await store.keepPhoto({ ...photo, state: 'refused', reason: error.problem.code });
      }
    }
  }

  return { record, recordPhoto, kick };
}

/** The device's queue on its way to the workshop. */
export type Sync = ReturnType<typeof createSync>;

/** Answers that are about the picture itself: too large, of no kind that is taken, not readable. */
const PHOTO_REFUSED = [400, 413, 415, 422];
/** What the server says of what was sent, not of itself. */
const CONTENT_REFUSED = [400, 413];
const SERVER_BUSY = [503, 507];

/** Whether something in what was sent is at fault: unreadable, or such that the server fails at it. */
function isOfContent(error: unknown): boolean {
  if (error instanceof ServerFailed) return !SERVER_BUSY.includes(error.problem.status);
  return error instanceof ServerProblem && CONTENT_REFUSED.includes(error.problem.status) && !isNewer(error);
}

/** A change of a newer app than the server: it waits for the server, and is no fault of its own. */
function isNewer({ problem }: ServerProblem): boolean {
  return problem.errors?.some(({ field }) => /^operations\.\d+\.v$/.test(field)) ?? false;
}

function linkAfter(error: unknown): SyncState['link'] {
  if (error instanceof ServerFailed && error.problem.code === 'storage-full') return 'full';
  if (!(error instanceof ServerProblem)) return 'unreachable';
  if (error.problem.status === 401) return 'signed-out';
  return isNewer(error) ? 'newer' : 'unreachable';
}
