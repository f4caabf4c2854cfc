import { errorCode } from '../errorCode';
import type { OperationOutcome } from '@weskopos/contract';
import { DatabaseError, type Engine } from '../db/engine';
import type { Asks, Change } from './change';
import type { Journal } from './journal';
import { replay, type Replay } from './replay';
import { positionIn, settle, writeDown, type Writers } from './settle';

/** The disk cannot take what has to be on it before it is acknowledged: nothing was taken, reading goes on. */
export class StorageFull extends Error {}

/** What a ledger writes to, and asks. */
export interface LedgerPorts {
  readonly engine: Engine;
  readonly journal: Journal;
  readonly writers: Writers;
  readonly asks: Asks;
}

/** A request with its changes, until it is answered. */
interface Waiting {
  readonly changes: readonly Change[];
  readonly resolve: (outcomes: readonly OperationOutcome[]) => void;
  readonly reject: (error: unknown) => void;
}
/** Requests that are judged together and share their place in the journal. */
type Group = readonly Waiting[];

/** Changes that are judged together and share one fsync at the most. */
const MOST_TOGETHER = 200;
/** Groups that share one transaction at the most: who reads waits until it ends. */
const MOST_GROUPS = 6;
/** What a full, read-only or failing disk says. */
const DISK_CODES = ['ENOSPC', 'EDQUOT', 'EROFS', 'EIO', 'EFBIG'];

/**
 * Takes changes in order: each is judged, takes effect and has its line in the journal in one turn, so that the journal
 * is what took effect in the order it took effect. The database commits only after the journal is on disk: it never holds
 * what the journal does not. Who waits together shares one fsync, and who comes while it runs is judged meanwhile, in the
 * same transaction.
 */
export class Ledger {
  private waiting: Waiting[] = [];
  private turn: Promise<void> = Promise.resolve();
  private draining = false;
  /** The journal may be ahead of the database: a commit gave no answer. */
  private behind = false;

  constructor(private readonly ports: LedgerPorts) {}

  /** Brings the database to the journal's end, and the journal's count to the database's. */
  open(): Promise<Replay> {
    const { engine, journal, writers, asks } = this.ports;
    return replay(engine, journal, writers, asks);
  }

  /** Answers when everything that took effect is on disk. Throws {@link StorageFull} or what the database throws. */
  accept(changes: readonly Change[]): Promise<readonly OperationOutcome[]> {
    return new Promise((resolve, reject) => {
      this.waiting.push({ changes, resolve, reject });
      if (!this.draining) void this.drain();
    });
  }

  /** Runs `work` while no change is under way: the database stands still at the position given. */
  exclusive<T>(work: (position: number) => Promise<T>): Promise<T> {
    const mine = this.turn.then(async () => work(await positionIn(this.ports.engine)));
    this.turn = mine.then(
      () => undefined,
      () => undefined,
    );
    return mine;
  }

  /** Resolves when nothing waits any more. */
  async idle(): Promise<void> {
    while (this.draining) await this.turn;
  }

  private async drain(): Promise<void> {
    this.draining = true;
    // Left only when nothing waits, and told in the same tick: a change in between would wait for ever.
    while (this.waiting.length > 0) {
      const done = this.turn.then(() => this.takeWaiting());
      this.turn = done;
      await done;
    }
    this.draining = false;
  }

  private nextGroup(): Group {
    let count = 0;
    const most = this.waiting.findIndex(({ changes }) => (count += changes.length) > MOST_TOGETHER);
    return this.waiting.splice(0, most < 0 ? this.waiting.length : Math.max(1, most));
  }

  /** Who waits, together; where one goes wrong each request for itself, so that it spoils no other's. Never rejects. */
  private async takeWaiting(): Promise<void> {
    const open = new Set<Waiting>();
    let groups = 0;
    const next = (): Group => {
      if (groups === MOST_GROUPS || this.waiting.length === 0) return [];
      groups += 1;
      return this.nextGroup().map((request) => untilAnswered(request, open));
    };
    // What is on disk took effect and is answered; the database gets it from there, now or before the next change.
    await this.take(next).catch(() => this.catchUp().catch(() => undefined));
    for (const request of open) await this.takeAlone(request);
  }

  private async takeAlone({ changes, resolve, reject }: Waiting): Promise<void> {
    try {
      resolve(await this.takeOnly(changes).catch(this.orOneByOne(changes)));
    } catch (error) {
      reject(error);
    }
  }

  /** A change the database will never keep is refused by itself; what fails otherwise fails the request. */
  private orOneByOne(changes: readonly Change[]) {
    return async (error: unknown): Promise<OperationOutcome[]> => {
      if (!isOfData(error)) throw error;
      const outcomes: OperationOutcome[] = [];
      for (const change of changes) outcomes.push(...(await this.takeOnly([change]).catch(this.orRefuse(change))));
      return outcomes;
    };
  }

  private orRefuse(change: Change) {
    return async (error: unknown): Promise<OperationOutcome[]> => {
      if (!isOfData(error)) throw error;
      const refusal = 'cannot-be-kept';
      await this.ports.engine.transaction((tx) => writeDown(tx, [{ change, refusal }]));
      return [{ id: change.operation.id, status: 'refused', refusal }];
    };
  }

  private takeOnly(changes: readonly Change[]): Promise<readonly OperationOutcome[]> {
    return new Promise((resolve, reject) => {
      const groups: Group[] = [[{ changes, resolve, reject }]];
      this.take(() => groups.shift() ?? []).catch(reject);
    });
  }

  /**
   * Takes group after group in one transaction until there is none: while the lines of one are written to the journal
   * the next is judged behind it. Each request is answered as soon as its lines are on disk: the commit that follows is
   * before whatever is asked next. Rejects with what went wrong first; who was not answered by then is to be taken again.
   */
  private async take(next: () => Group): Promise<void> {
    const { engine, journal, writers, asks } = this.ports;
    await this.catchUp();
    const first = journal.last;
    const onCommit: (() => void)[] = [];
    try {
      await engine.transaction(async (tx) => {
        let [written, position]: [Promise<void>, number] = [Promise.resolve(), first];
        try {
          for await (const group of groupsFrom(next, () => written)) {
            const { outcomes, lines } = await settle(tx, changesOf(group), writers, asks, position);
            position += lines.length;
            await written;
            const answer = () => answerAll(group, outcomes);
            if (lines.length === 0) onCommit.push(answer);
            else written = journal.append(lines).then(answer, asStorageFull);
            // Waited for in the end; until then a failure is no unhandled one.
            written.catch(() => undefined);
          }
        } finally {
          await written;
        }
      });
    } catch (error) {
      this.behind ||= journal.last > first;
      throw error;
    }
    for (const answer of onCommit) answer();
  }

  private async catchUp(): Promise<void> {
    const { engine, journal, writers, asks } = this.ports;
    if (this.behind) await replay(engine, journal, writers, asks);
    this.behind = false;
  }
}

/** Groups until there is none left once what is being written is on disk: who comes meanwhile still belongs. */
async function* groupsFrom(next: () => Group, written: () => Promise<void>): AsyncGenerator<Group> {
  for (;;) {
    let group = next();
    if (group.length === 0) {
      await written();
      group = next();
    }
    if (group.length === 0) return;
    yield group;
  }
}

/** The request, kept in `open` until it is answered. */
function untilAnswered(request: Waiting, open: Set<Waiting>): Waiting {
  open.add(request);
  const resolve: Waiting['resolve'] = (outcomes) => {
    open.delete(request);
    request.resolve(outcomes);
  };
  return { ...request, resolve };
}

/** Gives each request of a group its part of the outcomes. */
function answerAll(group: Group, outcomes: readonly OperationOutcome[]): void {
  let from = 0;
  for (const { changes, resolve } of group) resolve(outcomes.slice(from, (from += changes.length)));
}

const changesOf = (group: Group) => group.flatMap(({ changes }) => changes);
const isOfData = (error: unknown) => error instanceof DatabaseError && error.isOfData;

function asStorageFull(error: unknown): never {
  const code = errorCode(error) ?? '';
  if (DISK_CODES.includes(code)) throw new StorageFull(`the journal could not be written (${code})`, { cause: error });
  throw error;
}
