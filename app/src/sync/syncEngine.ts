import { MOST_OPERATIONS, type Operation, type OperationOutcome } from '@weskopos/contract';
import type { DeviceStore } from './deviceStore';
import { ServerProblem } from './transport';

export interface SyncState {
  /** Changes and photos still on this device only. */
  readonly waiting: number;
  /** Of these, how many somebody else made here: they go when that person signs in. */
  readonly ofOthers: number;
  readonly refused: number;
  readonly link: 'idle' | 'sending' | 'unreachable' | 'signed-out';
}

export interface SyncPorts {
  readonly store: DeviceStore;
  /** Whose session it is; null while signed out. */
  readonly person: () => string | null;
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

  const report = async (link: SyncState['link']) => {
    const [queue, photos, refused] = await Promise.all([store.queue(), store.unsentPhotos(), store.refused()]);
    const waiting = [...queue, ...photos];
    const ofOthers = waiting.filter(({ by }) => by !== ports.person()).length;
    ports.onState({ waiting: waiting.length, ofOthers, refused: refused.length, link });
  };

  /** Writes the change down, then starts sending; resolves when it is on the device's disk. */
  async function record(operation: Operation, by: string): Promise<void> {
    await store.enqueue({ operation, by });
    void kick();
  }

  async function recordPhoto(id: string, blob: Blob, by: string): Promise<void> {
    await store.keepPhoto({ id, blob, by, sent: false });
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
        await drain(BATCH);
        await drainPhotos();
        pause = FIRST_WAIT_MS;
        await report('idle');
      } catch (error) {
        const signedOut = error instanceof ServerProblem && error.problem.status === 401;
        await report(signedOut ? 'signed-out' : 'unreachable');
        if (!signedOut) {
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
      const mine = (await store.queue()).filter(({ by }) => by === ports.person());
      const batch = mine.slice(0, size).map(({ operation }) => operation);
      if (batch.length === 0) return;
      let outcomes: OperationOutcome[];
      try {
        outcomes = await ports.send(batch);
      } catch (error) {
        if (!isInvalid(error)) throw error;
        // Nothing of an invalid batch was taken. One by one the sound ones go through and the bad one is put aside.
        if (batch.length > 1) await drain(1);
        else await refuse(batch[0] as Operation, 'invalid');
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
    for (const photo of (await store.unsentPhotos()).filter(({ by }) => by === ports.person())) {
      try {
        await ports.sendPhoto(photo.id, photo.blob);
        await store.dropPhoto(photo.id);
      } catch (error) {
        if (!(error instanceof ServerProblem) || error.problem.status === 401) throw error;
        // Not a picture after all: it stays to be seen on this device, and is not sent again.
        await store.keepPhoto({ ...photo, sent: true });
      }
    }
  }

  return { record, recordPhoto, kick };
}

export type Sync = ReturnType<typeof createSync>;

function isInvalid(error: unknown): boolean {
  return error instanceof ServerProblem && [400, 413].includes(error.problem.status);
}
