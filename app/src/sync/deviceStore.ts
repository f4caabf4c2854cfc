import type { Operation, Refusal } from '@weskopos/contract';
import { OPERATION_VERSIONS } from '@weskopos/contract/device';
import { openDB, type DBSchema, type IDBPTransaction, type StoreNames } from 'idb';

/** A change the workshop did not take, with why. */
export interface RefusedOperation {
  readonly operation: Operation;
  readonly refusal: Refusal | 'invalid';
}
/** A change that waits, with who made it: it is sent in their session only. */
export interface QueuedOperation {
  readonly operation: Operation;
  readonly by: string;
}
/** A photo on this device. What the workshop has is not kept here any more. */
export interface QueuedPhoto {
  readonly id: string;
  readonly by: string;
  readonly blob: Blob;
  readonly state: 'waiting' | 'refused';
  /** Why the workshop does not take it, by the problem's code; null while it waits. */
  readonly reason: string | null;
}

/** What the device keeps: changes not yet acknowledged, photos, and the last known state of the workshop. */
export interface DeviceStore {
  queue(): Promise<QueuedOperation[]>;
  /** Resolves when the change is on the device's disk. */
  enqueue(queued: QueuedOperation): Promise<void>;
  settle(ids: readonly string[]): Promise<void>;
  /** Puts changes in the place of those with the same ids: all of them or none. */
  replace(operations: readonly Operation[]): Promise<void>;
  refuse(refused: RefusedOperation): Promise<void>;
  refused(): Promise<RefusedOperation[]>;
  forgetRefused(id: string): Promise<void>;
  /** Puts another change in the place of a refused one, in one go: neither both nor none are kept. */
  tryAgain(refusedId: string, queued: QueuedOperation): Promise<void>;
  keepPhoto(photo: QueuedPhoto): Promise<void>;
  photo(id: string): Promise<QueuedPhoto | undefined>;
  photos(): Promise<QueuedPhoto[]>;
  dropPhoto(id: string): Promise<void>;
  read<T>(key: string): Promise<T | undefined>;
  /** Everything whose key begins so, by the rest of its key. */
  readAll<T>(prefix: string): Promise<ReadonlyMap<string, T>>;
  write(key: string, value: unknown): Promise<void>;
  /** All of it or nothing, begun in the turn of the call; what is undefined is dropped. */
  writeAll(values: ReadonlyMap<string, unknown>): Promise<void>;
}

interface Schema extends DBSchema {
  queue: { key: number; value: QueuedOperation; indexes: { id: string } };
  refused: { key: string; value: RefusedOperation & { readonly id: string } };
  photos: { key: string; value: QueuedPhoto };
  documents: { key: string; value: unknown };
}

/** Version of what is stored; a new one upgrades, never drops the queue. */
const VERSION = 11;

type Upgrading = IDBPTransaction<Schema, StoreNames<Schema>[], 'versionchange'>;

/**
 * What only mirrors the server is fetched again, but who is signed in stays; waiting changes are lifted by
 * {@link liftQueue}. All of it or nothing: where one step fails the transaction is given up and the store stays as it was.
 */
async function liftDocuments(transaction: Upgrading): Promise<void> {
  const documents = transaction.objectStore('documents');
  const person = await documents.get('person');
  await documents.clear();
  if (person !== undefined) await documents.put(person, 'person');
  for (let at = await transaction.objectStore('photos').openCursor(); at; at = await at.continue()) {
    const { id, by, blob, ...told } = at.value;
    await at.update({
      id,
      by,
      blob,
      ...('sent' in told ? photoOfFifth(told.sent === true) : { state: told.state, reason: told.reason }),
    });
  }
}

/** Up to the fifth version a refused photo was kept as sent, without why. */
const photoOfFifth = (sent: boolean) =>
  ({ state: sent ? 'refused' : 'waiting', reason: sent ? 'not-a-picture' : null }) as const;

/** How the device's store is opened. */
export interface StoreOptions {
  readonly name?: string;
  /** An older tab holds the store: it opens when that one is closed. */
  readonly onBlocked?: () => void;
}

/** Opens what this device keeps. Throws what the browser throws where storage is denied, or a newer app wrote it. */
export async function openDeviceStore({ name = 'weskopos', onBlocked }: StoreOptions = {}): Promise<DeviceStore> {
  const db = await openDB<Schema>(name, VERSION, {
    ...(onBlocked ? { blocked: onBlocked } : {}),
    // A newer app wants in: this one lets go rather than hold it up.
    blocking: (_from, _to, event) => (event.target as IDBDatabase).close(),
    upgrade(fresh, from, _to, transaction) {
      if (from < 1) {
        fresh.createObjectStore('queue', { autoIncrement: true }).createIndex('id', 'operation.id', { unique: true });
        fresh.createObjectStore('refused', { keyPath: 'id' });
        fresh.createObjectStore('photos', { keyPath: 'id' });
        fresh.createObjectStore('documents');
        return;
      }
      liftDocuments(transaction).catch(() => transaction.abort());
    },
  });
  return {
    queue: () => db.getAll('queue'),
    async enqueue(queued) {
      // Strict durability: the screen says saved only after this, and a flat battery must not make it a lie.
      const tx = db.transaction('queue', 'readwrite', { durability: 'strict' });
      const added = tx.store.add(queued);
      // Committed in the same turn: a tab closed in the next one takes nothing with it.
      tx.commit();
      await Promise.all([added, tx.done]);
    },
    async settle(ids) {
      const tx = db.transaction('queue', 'readwrite');
      for (const id of ids) {
        const key = await tx.store.index('id').getKey(id);
        if (key !== undefined) await tx.store.delete(key);
      }
      await tx.done;
    },
    async replace(operations) {
      const byId = new Map(operations.map((operation) => [operation.id, operation]));
      const tx = db.transaction('queue', 'readwrite', { durability: 'strict' });
      for (let at = await tx.store.openCursor(); at; at = await at.continue()) {
        const operation = byId.get(at.value.operation.id);
        if (operation) await at.update({ ...at.value, operation });
      }
      await tx.done;
    },
    async refuse(refused) {
      await db.put('refused', { ...refused, id: refused.operation.id });
    },
    refused: () => db.getAll('refused'),
    forgetRefused: (id) => db.delete('refused', id),
    async tryAgain(refusedId, queued) {
      const tx = db.transaction(['queue', 'refused'], 'readwrite', { durability: 'strict' });
      await Promise.all([tx.objectStore('queue').add(queued), tx.objectStore('refused').delete(refusedId), tx.done]);
    },
    async keepPhoto(photo) {
      const tx = db.transaction('photos', 'readwrite', { durability: 'strict' });
      const put = tx.store.put(photo);
      tx.commit();
      await Promise.all([put, tx.done]);
    },
    photo: (id) => db.get('photos', id),
    photos: () => db.getAll('photos'),
    dropPhoto: (id) => db.delete('photos', id),
    read: async <T>(key: string) => (await db.get('documents', key)) as T | undefined,
    async readAll<T>(prefix: string) {
      const range = IDBKeyRange.bound(prefix, `${prefix}\uffff`);
      const { store } = db.transaction('documents');
      const [keys, values] = await Promise.all([store.getAllKeys(range), store.getAll(range)]);
      return new Map(keys.map((key, index) => [key.slice(prefix.length), values[index] as T]));
    },
    async write(key, value) {
      await db.put('documents', value, key);
    },
    async writeAll(values) {
      const tx = db.transaction('documents', 'readwrite');
      const written = [...values].map(([key, value]) =>
        value === undefined ? tx.store.delete(key) : tx.store.put(value, key),
      );
      await Promise.all([...written, tx.done]);
    },
  };
}

/**
 * Lifts changes an older app left in the queue to today's shapes. A change of a newer app is left as it is: nothing here
 * knows what it says, and it waits for that app to come back.
 */
export async function liftQueue(
  store: Pick<DeviceStore, 'queue' | 'replace'>,
  lift: (operation: Operation) => Promise<Operation>,
): Promise<void> {
  const older = (await store.queue()).flatMap(({ operation }) => (isOlder(operation) ? [operation] : []));
  if (older.length > 0) await store.replace(await Promise.all(older.map(lift)));
}

const isOlder = ({ kind, v = 0 }: Operation) => v < OPERATION_VERSIONS[kind];
/** Whether an operation was made by an app newer than this one. */
export const isNewerOperation = ({ kind, v = 0 }: Operation) => v > (OPERATION_VERSIONS[kind] ?? 0);
