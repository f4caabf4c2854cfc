import { errorCode } from '../errorCode';
import type { OperationOutcome } from '@weskopos/contract';
import { DatabaseError, type Engine, type Tx } from '../db/engine';
import type { Asks, Change } from './change';
import type { Journal } from './journal';
import { replay, type Replay } from './replay';
import { positionIn, readAhead, settle, writeDown, type ReadAhead, type Writers } from './settle';

/** The disk cannot take what has to be on it before it is acknowledged: nothing was taken, reading goes on. */
export class StorageFull extends Error {}

/** What a ledger writes to, and asks. */
export interface LedgerPorts {
  readonly engine: Engine;
  readonly journal: Journal;
  readonly writers: Writers;
  readonly asks: Asks;
}

interface Waiting {
  readonly changes: readonly Change[];
  readonly resolve: (outcomes: readonly OperationOutcome[]) => void;
  readonly reject: (error: unknown) => void;
}

/** Changes that share one transaction and one fsync at the most. */
const MOST_TOGETHER = 200;
/** What a full, read-only or failing disk says. */
const DISK_CODES = ['ENOSPC', 'EDQUOT', 'EROFS', 'EIO', 'EFBIG'];

/**
 * Takes changes in order: each is judged, takes effect and has its line in the journal in one turn, so that the journal
 * is what took effect in the order it took effect. The database commits only after the journal is on disk: it never holds
 * what the journal does not. Who waits together shares one transaction and one fsync.
 */
export class Ledger {
  private waiting: Waiting[] = [];
  private turn: Promise<void> = Promise.resolve();
  private draining = false;
  /** The journal may be ahead of the database: a commit gave no answer. */
  private behind = false;
  /** Whether the last changes are in the database: what is judged behind them leans on it. */
  private committed = Promise.resolve(true);
  /** Who comes next, with what was read ahead for them. */
  private next: { readonly group: Waiting[]; readonly read: Promise<ReadAhead | undefined> | undefined } | null = null;

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
    await this.committed;
  }

  private async drain(): Promise<void> {
    this.draining = true;
    // Left only when nothing waits, and told in the same tick: a change in between would wait for ever.
    while (this.next || this.waiting.length > 0) {
      const { group, read } = this.next ?? { group: this.nextGroup(), read: undefined };
      this.next = null;
      const done = this.turn.then(async () => this.takeGroup(group, await read));
      this.turn = done;
      await done;
    }
    this.draining = false;
  }

  private nextGroup(): Waiting[] {
    let count = 0;
    const most = this.waiting.findIndex(({ changes }) => (count += changes.length) > MOST_TOGETHER);
    return this.waiting.splice(0, most < 0 ? this.waiting.length : Math.max(1, most));
  }

  /**
   * All together; where one of them goes wrong each request for itself, so that it spoils no other's. Never rejects.
   * Requests are answered as soon as the journal is on disk: the commit that follows is before whatever is asked next.
   */
  private async takeGroup(group: readonly Waiting[], read?: ReadAhead): Promise<void> {
    let answered = false;
    const answer = (outcomes: readonly OperationOutcome[]) => {
      answered = true;
      let from = 0;
      for (const { changes, resolve } of group) resolve(outcomes.slice(from, (from += changes.length)));
    };
    try {
      await this.take(changesOf(group), answer, read);
    } catch (error) {
      // What is on disk took effect; the database gets it from there.
      if (answered) return;
      const [first, ...others] = group;
      if (others.length > 0) for (const one of group) await this.takeGroup([one]);
      else if (first) await this.takeOneByOne(first, error);
    }
  }

  /** A change the database will never keep is refused by itself; what fails otherwise fails the request. */
  private async takeOneByOne({ changes, resolve, reject }: Waiting, error: unknown): Promise<void> {
    if (!isOfData(error)) return reject(error);
    const outcomes: OperationOutcome[] = [];
    try {
      for (const change of changes) outcomes.push(...(await this.take([change]).catch(this.orRefuse(change))));
      resolve(outcomes);
    } catch (worse) {
      reject(worse);
    }
  }

  private orRefuse(change: Change) {
    return async (error: unknown): Promise<OperationOutcome[]> => {
      if (!isOfData(error)) throw error;
      const refusal = 'cannot-be-kept';
      await this.ports.engine.transaction((tx) => writeDown(tx, [{ change, refusal }]));
      return [{ id: change.operation.id, status: 'refused', refusal }];
    };
  }

  /**
   * @param durable hears what became of the changes as soon as it is on disk, mostly before this resolves
   * @param read what was read ahead for them
   */
  private async take(
    changes: readonly Change[],
    durable: (outcomes: readonly OperationOutcome[]) => void = () => undefined,
    read?: ReadAhead,
  ): Promise<readonly OperationOutcome[]> {
    const { engine, journal, writers, asks } = this.ports;
    const caughtUp = !this.behind;
    this.forgetRead();
    if (this.behind) {
      await replay(engine, journal, writers, asks);
      this.behind = false;
    }
    try {
      return await this.attempt(changes, durable, caughtUp ? read : undefined);
    } catch (error) {
      this.forgetRead();
      // That it failed is known here, and need not be found out.
      this.committed = Promise.resolve(true);
      if (!(error instanceof CommitBeforeFailed)) throw error;
      return this.take(changes, durable);
    }
  }

  /** What was read ahead holds only right behind the changes it was read behind. */
  private forgetRead(): void {
    if (this.next) this.next = { group: this.next.group, read: undefined };
  }

  /** While the journal is being written the database reads what the next changes are judged by, behind these. */
  private readNext(tx: Tx): void {
    if (this.next || this.waiting.length === 0) return;
    const group = this.nextGroup();
    const read = readAhead(tx, changesOf(group), this.ports.writers).catch(() => undefined);
    this.next = { group, read };
  }

  /**
   * Resolves when the commit is asked for, where the journal says what took effect: the next changes are judged behind
   * it, and wait for it before they are written.
   */
  private async attempt(
    changes: readonly Change[],
    durable: (outcomes: readonly OperationOutcome[]) => void,
    read: ReadAhead | undefined,
  ): Promise<readonly OperationOutcome[]> {
    const { engine, journal, writers, asks } = this.ports;
    const before = this.committed;
    let journalled = false;
    let handOver: (outcomes: readonly OperationOutcome[]) => void = () => undefined;
    const handed = new Promise<readonly OperationOutcome[]>((resolve) => (handOver = resolve));
    const commit = engine.transaction(async (tx) => {
      const { outcomes, lines } = await settle(tx, changes, writers, asks, { behind: journal.last, read });
      if (!(await before)) throw new CommitBeforeFailed();
      if (lines.length === 0) return outcomes;
      this.readNext(tx);
      await journal.append(lines).catch(asStorageFull);
      journalled = true;
      durable(outcomes);
      handOver(outcomes);
      return outcomes;
    });
    this.committed = commit.then(
      () => true,
      () => {
        this.behind ||= journalled;
        return false;
      },
    );
    const outcomes = await Promise.race([handed, commit]);
    if (!journalled) durable(outcomes);
    return outcomes;
  }
}

/** What the changes were judged by did not come about: they are judged again once the database is at the journal's end. */
class CommitBeforeFailed extends Error {}

const changesOf = (group: readonly Waiting[]) => group.flatMap(({ changes }) => changes);
const isOfData = (error: unknown) => error instanceof DatabaseError && error.isOfData;

function asStorageFull(error: unknown): never {
  const code = errorCode(error) ?? '';
  if (DISK_CODES.includes(code)) throw new StorageFull(`the journal could not be written (${code})`, { cause: error });
  throw error;
}
