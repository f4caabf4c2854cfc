import type { Life, Operation, Person, YardEntry } from '@weskopos/contract';
import { OPERATION_VERSIONS } from '@weskopos/contract/device';
import { BUILT_IN_FLEET, currentFindings, pointKey, type FleetKnowledge, type Rulebook } from '@weskopos/core';
import { create, type StoreApi, type UseBoundStore } from 'zustand';
import {
  isNewerOperation,
  liftQueue,
  type DeviceStore,
  type QueuedPhoto,
  type RefusedOperation,
  type StoreOptions,
} from './deviceStore';
import { amendmentOf, isLate } from './lateEntry';
import { foldLife, mergeLife } from './foldLife';
import { memoryStore } from './memoryStore';
import { readBriefs, readVersions, writeVersion } from './lifeDocuments';
import { LivesAtHand } from './livesAtHand';
import { createSync, type Sync, type SyncPorts } from './syncEngine';
import { ServerProblem, Unreachable, type Transport } from './transport';
import { NOTHING_KNOWN, selectLife, vehicleOfChange, vehicleOfVisit, type WorkshopState } from './workshopState';

/** What a workshop on a device needs of the world around it. */
export interface WorkshopPorts {
  readonly server: Transport;
  /** Opens what the device keeps. Throws what the browser throws where it keeps nothing, or a newer app wrote it. */
  readonly openStore: (options: StoreOptions) => Promise<DeviceStore>;
  readonly later: SyncPorts['later'];
  /** Has `heard` called whenever the network is back. */
  readonly onOnline: (heard: () => void) => void;
  readonly newId: () => string;
  /** ISO instant. */
  readonly now: () => string;
  /** What this device is called among others. */
  readonly deviceId: string;
}

type OperationDraft = Operation extends infer O ? (O extends Operation ? Pick<O, 'kind' | 'body'> : never) : never;

/** Brings a change an older app left on the device to today's shape. */
export type Lift = (operation: Operation) => Promise<Operation>;

/** What the device knows of its workshop, and everything that changes it. */
export interface Workshop {
  readonly useWorkshop: UseBoundStore<StoreApi<WorkshopState>>;
  readonly deviceId: string;
  /** Opens the device's store, shows what it holds at once, then asks the server. */
  readonly open: (lift: Lift) => Promise<void>;
  /** Asks who we are, then sends what waits and fetches what is new. Offline it leaves everything as it is. */
  readonly reconnect: () => Promise<void>;
  /** Somebody has signed in: who it is is kept, then what waits of theirs is sent and everything fetched. */
  readonly signedIn: (person: Person) => Promise<void>;
  /** Ends the session; the queue stays for whoever made it. Throws when the server is not reached. */
  readonly signOut: () => Promise<void>;
  /** Fetches one vehicle's life: somebody else has changed it. */
  readonly refreshLifeQuietly: (vehicleId: string) => Promise<void>;
  /** Has a vehicle's life read from the device's disk, and shown as long as somebody looks at it. @returns how to let go of it */
  readonly holdLife: (vehicleId: string) => () => void;
  /** A vehicle's life with what waits on this device, read for once; undefined where it is not here. */
  readonly lifeOnce: (vehicleId: string) => Promise<Life | undefined>;
  /** Asks the workshop, and keeps its answer for when it is not reached: then the last one is given, with when it was told. */
  readonly askKept: <T>(name: string, ask: () => Promise<T>) => Promise<KeptAnswer<T>>;
  /** Records a change: on the device's disk first, then on the screen, then on its way. */
  readonly record: (draft: OperationDraft) => Promise<void>;
  /** Keeps a photo on the device's disk and sends it when it can. @returns its id */
  readonly recordPhoto: (blob: Blob) => Promise<string>;
  /** A photo that is still on this device, as an address an image can show; null when the server has it. */
  readonly localPhoto: (id: string) => Promise<string | null>;
  /** How a photo on this device stands with the workshop; null when the workshop has it. */
  readonly photoState: (id: string) => Promise<Pick<QueuedPhoto, 'state' | 'reason'> | null>;
  /** Deletes a change that was not taken: for good, so it is asked twice before. */
  readonly deleteRefused: (id: string) => Promise<void>;
  /**
   * Sends a change that was not taken once more, on what stands now: an entry follows the one that stands at its point; one
   * that came after its visit was signed becomes an amendment, with why.
   */
  readonly sendAgain: (refused: RefusedOperation, why: string) => Promise<void>;
}

/** What the workshop answered. */
export interface KeptAnswer<T> {
  readonly answer: T;
  /** When it was told, ISO 8601. */
  readonly at: string;
  /** Why it is not asked anew; null where it was. */
  readonly problem: unknown;
}

/** A workshop on a device; nothing happens before it is opened. Its acts can be taken out of it. */
export function createWorkshop(ports: WorkshopPorts): Workshop {
  return new OneWorkshop(ports);
}

/** What is open: the device's store, and the sync on it. */
interface Opened {
  readonly store: DeviceStore;
  readonly sync: Sync;
}

class OneWorkshop implements Workshop {
  readonly useWorkshop = create<WorkshopState>(() => NOTHING_KNOWN);
  readonly deviceId: string;
  private opened: Opened | null = null;
  /** Which of the workshop's versions of each life this device holds whole. */
  private versions = new Map<string, string>();
  private readonly atHand: LivesAtHand;
  /** What the workshop was asked for as long as the page is loaded: the same object as long as it is the same answer. */
  private readonly answers = new Map<string, unknown>();

  constructor(private readonly ports: WorkshopPorts) {
    this.deviceId = ports.deviceId;
    this.atHand = new LivesAtHand({
      store: () => this.here.store,
      get: () => this.get(),
      set: (change) => this.set(change),
      // Whatever version it was of: the next look at the workshop fetches it.
      onTorn: (vehicleId) => this.versions.delete(vehicleId),
      onAbsent: (vehicleId) => this.fetchAbsent(vehicleId),
    });
  }

  readonly open = async (lift: Lift): Promise<void> => {
    const store = await this.openStore();
    if (!store) return;
    await liftQueue(store, lift);
    this.opened = { store, sync: this.startSync(store) };
    this.ports.onOnline(() => void this.reconnect());
    await this.showKept(store);
    void this.remakeBriefs();
    await this.reconnect();
  };

  readonly reconnect = async (): Promise<void> => {
    try {
      await this.signedIn(await this.ports.server.call('whoAmI'));
    } catch (error) {
      if (error instanceof ServerProblem && error.problem.status === 401) {
        const { empty } = await this.ports.server.call('workshop');
        await this.here.store.write('person', null);
        this.set({ status: empty ? 'empty' : 'signed-out', person: null });
      } else if (error instanceof Unreachable) {
        if (this.get().status === 'opening') this.set({ status: 'signed-out' });
        // The queue's own retries find the server again.
        await this.here.sync.kick();
      } else throw error;
    }
  };

  readonly signedIn = async (person: Person): Promise<void> => {
    await this.here.store.write('person', person);
    this.set({ person, status: 'ready' });
    await this.here.sync.kick();
    await quietly(this.refresh());
  };

  readonly signOut = async (): Promise<void> => {
    await this.ports.server.call('signOut');
    await this.here.store.write('person', null);
    this.set({ person: null, status: 'signed-out' });
  };

  readonly refreshLifeQuietly = (vehicleId: string): Promise<void> => {
    return quietly(this.refreshLife(vehicleId));
  };

  readonly holdLife = (vehicleId: string): (() => void) => this.atHand.hold(vehicleId);

  readonly lifeOnce = (vehicleId: string): Promise<Life | undefined> =>
    this.atHand.with(vehicleId, (life) =>
      selectLife({ ...this.get(), lives: life ? { [vehicleId]: life } : {} }, vehicleId),
    );

  readonly askKept = async <T>(name: string, ask: () => Promise<T>): Promise<KeptAnswer<T>> => {
    const { store } = this.here;
    const key = `answer/${name}`;
    try {
      const told = { answer: await ask(), at: this.ports.now() };
      this.answers.set(key, told);
      await store.write(key, told);
      return { ...told, problem: null };
    } catch (problem) {
      const kept = (this.answers.get(key) ?? (await store.read(key))) as Omit<KeptAnswer<T>, 'problem'> | undefined;
      if (!kept) throw problem;
      this.answers.set(key, kept);
      return { ...kept, problem };
    }
  };

  readonly record = async (draft: OperationDraft): Promise<void> => {
    const [{ sync }, by, operation] = [this.here, this.whoAmI(), this.stamped(draft)];
    this.set(({ pending }) => ({ pending: [...pending, operation] }));
    // A change may be of a vehicle whose pages are not open: the yard has ticks of its own.
    void this.atHand.readWaiting();
    await this.onDisk(sync.record(operation, by));
  };

  readonly recordPhoto = async (blob: Blob): Promise<string> => {
    const id = this.ports.newId();
    await this.onDisk(this.here.sync.recordPhoto(id, blob, this.whoAmI()));
    return id;
  };

  readonly localPhoto = async (id: string): Promise<string | null> => {
    const photo = await this.here.store.photo(id);
    return photo ? URL.createObjectURL(photo.blob) : null;
  };

  readonly photoState = async (id: string): Promise<Pick<QueuedPhoto, 'state' | 'reason'> | null> => {
    const photo = await this.here.store.photo(id);
    return photo ? { state: photo.state, reason: photo.reason } : null;
  };

  readonly deleteRefused = async (id: string): Promise<void> => {
    await this.here.store.forgetRefused(id);
    await this.showRefused();
    void this.here.sync.kick();
  };

  readonly sendAgain = async (refused: RefusedOperation, why: string): Promise<void> => {
    const { operation } = refused;
    const again = this.stamped(await this.rebased(refused, why));
    this.set(({ pending }) => ({ pending: [...pending, again] }));
    await this.onDisk(this.here.store.tryAgain(operation.id, { operation: again, by: this.whoAmI() }));
    await this.showRefused();
    void this.here.sync.kick();
  };

  private get here(): Opened {
    if (!this.opened) throw new Error('the workshop is not open');
    return this.opened;
  }

  private get(): WorkshopState {
    return this.useWorkshop.getState();
  }

  private set(change: Partial<WorkshopState> | ((state: WorkshopState) => Partial<WorkshopState>)): void {
    this.useWorkshop.setState(change);
  }

  /** The device's store; one in memory where the browser keeps none; null where what is there must be left alone. */
  private async openStore(): Promise<DeviceStore | null> {
    try {
      const store = await this.ports.openStore({ onBlocked: () => this.set({ kept: 'blocked' }) });
      this.set({ kept: 'yes' });
      return store;
    } catch (error) {
      const isNewer = (error as DOMException).name === 'VersionError';
      this.set({ kept: isNewer ? 'newer' : 'denied' });
      return isNewer ? null : memoryStore();
    }
  }

  private startSync(store: DeviceStore): Sync {
    const { server, later } = this.ports;
    return createSync({
      store,
      person: () => this.get().person?.id ?? null,
      knows: (vehicleId) => vehicleId in this.get().briefs || vehicleId in this.get().lives,
      send: (operations) => server.call('sendOperations', { body: { operations } }),
      sendPhoto: (id, blob) => server.sendPhoto(id, blob),
      later,
      onState: (state) => {
        this.set({ sync: state });
        // A session that ended while away: the queue stays, the way in is shown.
        if (state.link === 'signed-out') this.set({ status: 'signed-out', person: null });
      },
      onTaken: (operation) => this.taken(operation),
      onRefused: (operation) => {
        this.set(({ pending }) => ({ pending: pending.filter(({ id }) => id !== operation.id) }));
        void this.showRefused();
      },
    });
  }

  private async showKept(store: DeviceStore): Promise<void> {
    const [person, entries, queue, refused, rulebooks, fleet, briefs, versions] = await Promise.all([
      store.read<Person>('person'),
      store.read<YardEntry[]>('yard'),
      store.queue(),
      store.refused(),
      store.read<Rulebook[]>('rulebooks'),
      store.read<FleetKnowledge>('fleet'),
      readBriefs(store),
      readVersions(store),
    ]);
    this.versions = new Map(versions);
    // What a newer app made here waits as it is: nothing here knows how to show it.
    const pending = queue.flatMap(({ operation }) => (isNewerOperation(operation) ? [] : [operation]));
    this.set({
      entries: entries ?? null,
      briefs: Object.fromEntries(briefs),
      pending,
      refused,
      rulebooks: rulebooks ?? [],
      fleet: { ...BUILT_IN_FLEET, ...fleet },
    });
    await this.atHand.readWaiting();
    if (person) this.set({ person, status: 'ready' });
  }

  private async showRefused(): Promise<void> {
    this.set({ refused: await this.here.store.refused() });
  }

  /** Fetches the yard, and ahead every life of which this device has another version, so that the bay needs no signal. */
  private async refresh(): Promise<void> {
    const { store } = this.here;
    const { call } = this.ports.server;
    const rulebooks = await call('rulebooks');
    await store.write('rulebooks', rulebooks);
    this.set({ rulebooks });
    void this.remakeBriefs();
    const entries = await call('yard');
    await store.write('yard', entries);
    this.set({ entries });
    for (const { vehicle, version } of entries) {
      // An older workshop tells none.
      if (version && this.versions.get(vehicle.id) === version) continue;
      await this.refreshLife(vehicle.id);
      // Told before the life was: what changed in between is of a later version, and fetched once more.
      this.versions.set(vehicle.id, version);
      await writeVersion(store, vehicle.id, version);
    }
    const fleet = await call('fleetKnowledge');
    await store.write('fleet', fleet);
    this.set({ fleet });
  }

  private async refreshLife(id: string): Promise<void> {
    const fetched = await this.ports.server.call('life', { params: { id } });
    // Joined and shown in one turn: what the server took while the answer travelled must not be lost in between.
    await this.atHand.with(id, (before) => this.atHand.put([mergeLife(before, fetched)]));
  }

  /** A new device fetches hundreds of lives one after the other: the one somebody opens does not wait for its turn. */
  private async fetchAbsent(id: string): Promise<void> {
    if (!this.get().entries?.some(({ vehicle }) => vehicle.id === id)) return;
    try {
      await quietly(this.refreshLife(id));
    } catch (error) {
      // Not of this workshop any more, or nobody is signed in: the page says that it is not here.
      if (!(error instanceof ServerProblem)) throw error;
    }
  }

  /** Makes the briefs anew that are missing, or that other rules made. */
  private remakeBriefs(): Promise<void> {
    return this.atHand.remake(() => {
      const { entries, briefs } = this.get();
      return [...new Set([...(entries ?? []).map(({ vehicle }) => vehicle.id), ...Object.keys(briefs)])];
    });
  }

  /** A change the server has taken moves from what waits into the known state, in one turn; then onto the disk. */
  private async taken(operation: Operation): Promise<void> {
    const settled = ({ pending }: WorkshopState) => ({ pending: pending.filter(({ id }) => id !== operation.id) });
    const touched = vehicleOfChange(this.get(), operation);
    if (operation.kind === 'rulebook.put') {
      const rulebooks = [...this.get().rulebooks, operation.body];
      this.set((state) => ({ ...settled(state), rulebooks }));
      await this.here.store.write('rulebooks', rulebooks);
      void this.remakeBriefs();
    } else if (touched === undefined) this.set(settled);
    else
      await this.atHand.with(touched, (before) => {
        const life = foldLife(before, operation, this.get().person?.name ?? '');
        return this.atHand.put(life && life !== before ? [life] : [], settled);
      });
    void this.hearOf(operation);
  }

  private stamped(draft: OperationDraft): Operation {
    const { newId, now, deviceId } = this.ports;
    return { id: newId(), at: now(), device: deviceId, v: OPERATION_VERSIONS[draft.kind], ...draft };
  }

  private whoAmI(): string {
    const { person } = this.get();
    if (!person) throw new Error('nobody is signed in');
    return person.id;
  }

  private async onDisk(write: Promise<void>): Promise<void> {
    this.set(({ writing }) => ({ writing: writing + 1 }));
    try {
      await write;
      this.set({ storageFailed: false });
    } catch (error) {
      this.set({ storageFailed: true });
      throw error;
    } finally {
      this.set(({ writing }) => ({ writing: writing - 1 }));
    }
  }

  /** A change that was not taken, on what stands now; one that came too late for its visit as an amendment. */
  private async rebased(refused: RefusedOperation, why: string): Promise<OperationDraft> {
    const { operation } = refused;
    const { kind, body } = operation;
    if (operation.kind !== 'finding.put') return { kind, body } as OperationDraft;
    const { inspectionId, point, place } = operation.body;
    const life = await this.lifeOnce(vehicleOfVisit(this.get(), inspectionId) ?? '');
    const visit = life?.visits.find(({ inspection }) => inspection.id === inspectionId);
    const standing = currentFindings(visit?.findings ?? []).standing.get(pointKey(point, place));
    const findingId = this.ports.newId();
    if (!isLate(refused))
      return { kind: 'finding.put', body: { ...operation.body, id: findingId, parent: standing?.id ?? null } };
    const stamp = { id: this.ports.newId(), findingId, at: this.ports.now(), why };
    return { kind: 'amendment.put', body: amendmentOf(operation.body, standing, stamp) };
  }

  /** What the workshop alone can say of a visit (what it was signed with, what an amendment changed) is fetched at once. */
  private async hearOf(operation: Operation): Promise<void> {
    if (!ASKS_ANEW.some((kind) => kind === operation.kind) || !('inspectionId' in operation.body)) return;
    const { inspectionId } = operation.body;
    const vehicleId = vehicleOfVisit(this.get(), inspectionId);
    if (vehicleId !== undefined) await quietly(this.refreshLife(vehicleId));
  }
}

/** After these an answer that was under way may be too old, or lack what only the workshop knows. */
const ASKS_ANEW: readonly Operation['kind'][] = [
  'inspection.sign',
  'inspection.void',
  'inspection.restore',
  'inspection.correct',
  'amendment.put',
];

/** What was fetched until the server was lost stays; everything else goes on. */
async function quietly(fetching: Promise<void>): Promise<void> {
  try {
    await fetching;
  } catch (error) {
    if (!(error instanceof Unreachable)) throw error;
  }
}
