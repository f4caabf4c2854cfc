import type { Life, Operation, Person, YardEntry } from '@weskopos/contract';
import { OPERATION_VERSIONS } from '@weskopos/contract/device';
import {
  BUILT_IN_FLEET,
  currentFindings,
  pointKey,
  rulebookAt,
  rulesOf,
  type FleetKnowledge,
  type Inspection,
  type Rulebook,
  type Rules,
} from '@weskopos/core';
import { create } from 'zustand';
import { nowIso } from './clock';
import {
  isNewerOperation,
  liftQueue,
  openDeviceStore,
  type DeviceStore,
  type QueuedPhoto,
  type RefusedOperation,
} from './deviceStore';
import { foldLife, mergeLife } from './foldLife';
import { memoryStore } from './memoryStore';
import { readLife, writeLife } from './lifeDocuments';
import { createSync, type Sync, type SyncState } from './syncEngine';
import { call, sendPhoto, ServerProblem, Unreachable } from './transport';

/**
 * Lives of state: `person`, `entries`, `lives` mirror documents on the device and follow the server;
 * `pending` mirrors the queue; the rest dies with the tab.
 */
export interface WorkshopState {
  readonly status: 'opening' | 'signed-out' | 'empty' | 'ready';
  /** Whether this device keeps anything: `denied` by the browser, of a `newer` app, `blocked` by an older tab. */
  readonly kept: 'yes' | 'denied' | 'newer' | 'blocked';
  readonly person: Person | null;
  readonly entries: readonly YardEntry[] | null;
  readonly lives: Readonly<Record<string, Life>>;
  /** Every version of the workshop's rules; the built-in one is known without. */
  readonly rulebooks: readonly Rulebook[];
  /** What the whole fleet teaches each forecast; built in until the server has told. */
  readonly fleet: FleetKnowledge;
  readonly pending: readonly Operation[];
  readonly refused: readonly RefusedOperation[];
  readonly sync: SyncState;
  /** Changes on their way to the device's own disk: until they are there, nothing says saved. */
  readonly writing: number;
  /** The device could not keep a change: its storage is full or denied. */
  readonly storageFailed: boolean;
}

export const useWorkshop = create<WorkshopState>(() => ({
  status: 'opening',
  kept: 'yes',
  person: null,
  entries: null,
  lives: {},
  rulebooks: [],
  fleet: BUILT_IN_FLEET,
  pending: [],
  refused: [],
  sync: { waiting: 0, ofOthers: 0, held: 0, refused: 0, refusedPhotos: 0, link: 'idle' },
  writing: 0,
  storageFailed: false,
}));

const { getState, setState } = useWorkshop;
let store: DeviceStore;
let sync: Sync;
/** What this device is called among others, for as long as the page is open. */
export const deviceId = `web-${Math.random().toString(36).slice(2, 10)}`;

/** The device's store; one in memory where the browser keeps none; null where what is there must be left alone. */
async function openStore(): Promise<DeviceStore | null> {
  try {
    const opened = await openDeviceStore({ onBlocked: () => setState({ kept: 'blocked' }) });
    setState({ kept: 'yes' });
    return opened;
  } catch (error) {
    if ((error as DOMException).name === 'VersionError') {
      setState({ kept: 'newer' });
      return null;
    }
    setState({ kept: 'denied' });
    return memoryStore();
  }
}

export interface WorkshopPorts {
  /** Brings a change an older app left on the device to today's shape. */
  readonly lift: (operation: Operation) => Promise<Operation>;
}

/** Opens the device's store, shows what it holds at once, then asks the server. */
export async function openWorkshop({ lift }: WorkshopPorts): Promise<void> {
  const opened = await openStore();
  if (!opened) return;
  store = opened;
  await liftQueue(store, lift);
  sync = createSync({
    store,
    person: () => getState().person?.id ?? null,
    knows: (vehicleId) => vehicleId in getState().lives,
    send: (operations) => call('sendOperations', { body: { operations } }),
    sendPhoto,
    later: (work, ms) => {
      const timer = setTimeout(work, ms);
      return () => clearTimeout(timer);
    },
    onState: (state) => {
      setState({ sync: state });
      // A session that ended while away: the queue stays, the way in is shown.
      if (state.link === 'signed-out') setState({ status: 'signed-out', person: null });
    },
    onTaken: taken,
    onRefused: (operation) => {
      setState(({ pending }) => ({ pending: pending.filter(({ id }) => id !== operation.id) }));
      void store.refused().then((refused) => setState({ refused }));
    },
  });
  window.addEventListener('online', () => void reconnect());
  const [person, entries, queue, refused, rulebooks, fleet] = await Promise.all([
    store.read<Person>('person'),
    store.read<YardEntry[]>('yard'),
    store.queue(),
    store.refused(),
    store.read<Rulebook[]>('rulebooks'),
    store.read<FleetKnowledge>('fleet'),
  ]);
  // What a newer app made here waits as it is: nothing here knows how to show it.
  const pending = queue.flatMap(({ operation }) => (isNewerOperation(operation) ? [] : [operation]));
  const ids = new Set([
    ...(entries ?? []).map(({ vehicle }) => vehicle.id),
    ...pending.flatMap((operation) => (operation.kind === 'vehicle.put' ? [operation.body.id] : [])),
  ]);
  const lives: Record<string, Life> = {};
  for (const id of ids) {
    const life = await readLife(store, id);
    if (life) lives[id] = life;
  }
  setState({
    entries: entries ?? null,
    lives,
    pending,
    refused,
    rulebooks: rulebooks ?? [],
    fleet: fleet ?? BUILT_IN_FLEET,
  });
  if (person) setState({ person, status: 'ready' });
  await reconnect();
}

/** Asks who we are, then sends what waits and fetches what is new. Offline it leaves everything as it is. */
export async function reconnect(): Promise<void> {
  try {
    await signedIn(await call('whoAmI'));
  } catch (error) {
    if (error instanceof ServerProblem && error.problem.status === 401) {
      const { empty } = await call('workshop');
      await store.write('person', null);
      setState({ status: empty ? 'empty' : 'signed-out', person: null });
    } else if (error instanceof Unreachable) {
      if (getState().status === 'opening') setState({ status: 'signed-out' });
      // The queue's own retries find the server again.
      await sync.kick();
    } else throw error;
  }
}

/** Somebody has signed in: who it is is kept, then what waits of theirs is sent and everything fetched. */
export async function signedIn(person: Person): Promise<void> {
  await store.write('person', person);
  setState({ person, status: 'ready' });
  await sync.kick();
  await refresh();
}

/** Ends the session; the queue stays for whoever made it. Throws when the server is not reached. */
export async function signOut(): Promise<void> {
  await call('signOut');
  await store.write('person', null);
  setState({ person: null, status: 'signed-out' });
}

/** Fetches the yard and every vehicle's life ahead, so that the bay needs no signal. */
export async function refresh(): Promise<void> {
  try {
    const rulebooks = await call('rulebooks');
    await store.write('rulebooks', rulebooks);
    setState({ rulebooks });
    const entries = await call('yard');
    await store.write('yard', entries);
    setState({ entries });
    for (const { vehicle } of entries) await refreshLife(vehicle.id);
    const fleet = await call('fleetKnowledge');
    await store.write('fleet', fleet);
    setState({ fleet });
  } catch (error) {
    if (!(error instanceof Unreachable)) throw error;
  }
}

/** Fetches one vehicle's life: somebody else has changed it. */
export async function refreshLifeQuietly(id: string): Promise<void> {
  try {
    await refreshLife(id);
  } catch (error) {
    if (!(error instanceof Unreachable)) throw error;
  }
}

async function refreshLife(id: string): Promise<void> {
  const fetched = await call('life', { params: { id } });
  // Read, joined and shown in one turn: what the server took while the answer travelled must not be lost in between.
  const before = getState().lives[id];
  const life = mergeLife(before, fetched);
  setState(({ lives }) => ({ lives: { ...lives, [id]: life } }));
  await writeLife(store, before, life);
}

/** A change the server has taken moves from what waits into the known state, in one turn; then onto the disk. */
async function taken(operation: Operation): Promise<void> {
  const { lives, pending, person, rulebooks } = getState();
  const folded = touchedLives(operation, lives).flatMap((id) => {
    const life = foldLife(lives[id], operation, person?.name ?? '');
    return life && life !== lives[id] ? [{ id, life }] : [];
  });
  const books = operation.kind === 'rulebook.put' ? [...rulebooks, operation.body] : rulebooks;
  setState({
    lives: { ...lives, ...Object.fromEntries(folded.map(({ id, life }) => [id, life])) },
    rulebooks: books,
    pending: pending.filter(({ id }) => id !== operation.id),
  });
  await Promise.all(folded.map(({ id, life }) => writeLife(store, lives[id], life)));
  if (books !== rulebooks) await store.write('rulebooks', books);
}

function touchedLives(operation: Operation, lives: WorkshopState['lives']): string[] {
  return operation.kind === 'vehicle.put' ? [operation.body.id] : Object.keys(lives);
}

type OperationDraft = Operation extends infer O ? (O extends Operation ? Pick<O, 'kind' | 'body'> : never) : never;

/** Records a change: on the device's disk first, then on the screen, then on its way. */
export async function record(draft: OperationDraft): Promise<void> {
  const operation = stamped(draft);
  setState(({ pending }) => ({ pending: [...pending, operation] }));
  await onDisk(sync.record(operation, whoAmI()));
}

const stamped = (draft: OperationDraft) =>
  ({
    id: crypto.randomUUID(),
    at: nowIso(),
    device: deviceId,
    v: OPERATION_VERSIONS[draft.kind],
    ...draft,
  }) as Operation;

/** Keeps a photo on the device's disk and sends it when it can. @returns its id */
export async function recordPhoto(blob: Blob): Promise<string> {
  const id = crypto.randomUUID();
  await onDisk(sync.recordPhoto(id, blob, whoAmI()));
  return id;
}

function whoAmI(): string {
  const { person } = getState();
  if (!person) throw new Error('nobody is signed in');
  return person.id;
}

async function onDisk(write: Promise<void>): Promise<void> {
  setState(({ writing }) => ({ writing: writing + 1 }));
  try {
    await write;
    setState({ storageFailed: false });
  } catch (error) {
    setState({ storageFailed: true });
    throw error;
  } finally {
    setState(({ writing }) => ({ writing: writing - 1 }));
  }
}

/** A photo that is still on this device, as an address an image can show; null when the server has it. */
export async function localPhoto(id: string): Promise<string | null> {
  const photo = await store.photo(id);
  return photo ? URL.createObjectURL(photo.blob) : null;
}

/** Deletes a change that was not taken: for good, so it is asked twice before. */
export async function deleteRefused(id: string): Promise<void> {
  await store.forgetRefused(id);
  setState({ refused: await store.refused() });
  void sync.kick();
}

/** Sends a change that was not taken once more, on what stands now: an entry follows the one that stands at its point. */
export async function sendAgain({ operation }: RefusedOperation): Promise<void> {
  const { kind, body } = rebased(operation);
  const again = stamped({ kind, body } as OperationDraft);
  setState(({ pending }) => ({ pending: [...pending, again] }));
  await onDisk(store.tryAgain(operation.id, { operation: again, by: whoAmI() }));
  setState({ refused: await store.refused() });
  void sync.kick();
}

function rebased(operation: Operation): Operation {
  if (operation.kind !== 'finding.put') return operation;
  const { inspectionId, point, place } = operation.body;
  const life = Object.keys(getState().lives).flatMap((id) => selectLife(getState(), id) ?? []);
  const visit = life.flatMap(({ visits }) => visits).find(({ inspection }) => inspection.id === inspectionId);
  const standing = currentFindings(visit?.findings ?? []).standing.get(pointKey(point, place));
  return { ...operation, body: { ...operation.body, id: crypto.randomUUID(), parent: standing?.id ?? null } };
}

/** How a photo on this device stands with the workshop; null when the workshop has it. */
export async function photoState(id: string): Promise<Pick<QueuedPhoto, 'state' | 'reason'> | null> {
  const photo = await store.photo(id);
  return photo ? { state: photo.state, reason: photo.reason } : null;
}

/** A vehicle's life as this device knows it: the server's state with the waiting changes laid over it. */
export function selectLife(
  state: Pick<WorkshopState, 'lives' | 'pending' | 'person'>,
  vehicleId: string,
): Life | undefined {
  return state.pending
    .filter((operation) => operation.kind !== 'vehicle.put' || operation.body.id === vehicleId)
    .reduce<Life | undefined>(
      (life, operation) => foldLife(life, operation, state.person?.name ?? ''),
      state.lives[vehicleId],
    );
}

/** The rules as this device knows them, with a change that still waits; the same list while nothing of them waits. */
export function selectRulebooks({
  rulebooks,
  pending,
}: Pick<WorkshopState, 'rulebooks' | 'pending'>): readonly Rulebook[] {
  const waiting = pending.flatMap((operation) => (operation.kind === 'rulebook.put' ? [operation.body] : []));
  return waiting.length === 0 ? rulebooks : [...rulebooks, ...waiting];
}

/** The rules a visit was made under. */
export function rulesFor(
  rulebooks: readonly Rulebook[],
  { rulebook, template }: Pick<Inspection, 'rulebook' | 'template'>,
): Rules {
  return rulesOf(rulebookAt(rulebooks, rulebook), template);
}
