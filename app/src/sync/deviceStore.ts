import { upgradeOperation, type Operation, type Refusal } from '@weskopos/contract';
import { openDB, type DBSchema, type IDBPTransaction, type StoreNames } from 'idb';

export interface RefusedOperation {
  readonly operation: Operation;
  readonly refusal: Refusal | 'invalid';
}
/** A change that waits, with who made it: it is sent in their session only. */
export interface QueuedOperation {
  readonly operation: Operation;
  readonly by: string;
}
export interface QueuedPhoto {
  readonly id: string;
  readonly by: string;
  readonly blob: Blob;
  readonly sent: boolean;
}

/** What the device keeps: changes not yet acknowledged, photos, and the last known state of the workshop. */
export interface DeviceStore {
  queue(): Promise<QueuedOperation[]>;
  /** Resolves when the change is on the device's disk. */
  enqueue(queued: QueuedOperation): Promise<void>;
  settle(ids: readonly string[]): Promise<void>;
  refuse(refused: RefusedOperation): Promise<void>;
  refused(): Promise<RefusedOperation[]>;
  forgetRefused(id: string): Promise<void>;
  keepPhoto(photo: QueuedPhoto): Promise<void>;
  photo(id: string): Promise<QueuedPhoto | undefined>;
  unsentPhotos(): Promise<QueuedPhoto[]>;
  dropPhoto(id: string): Promise<void>;
  read<T>(key: string): Promise<T | undefined>;
  write(key: string, value: unknown): Promise<void>;
}

interface Schema extends DBSchema {
  queue: { key: number; value: QueuedOperation; indexes: { id: string } };
  refused: { key: string; value: RefusedOperation & { readonly id: string } };
  photos: { key: string; value: QueuedPhoto };
  documents: { key: string; value: unknown };
}

/** Version of what is stored; a new one upgrades, never drops the queue. */
const VERSION = 5;

type Upgrading = IDBPTransaction<Schema, StoreNames<Schema>[], 'versionchange'>;

/** Waiting changes are lifted to today's shapes; what only mirrors the server is fetched again, but who is signed in stays. */
async function liftDocuments(transaction: Upgrading): Promise<void> {
  const documents = transaction.objectStore('documents');
  const person = await documents.get('person');
  await documents.clear();
  if (person !== undefined) await documents.put(person, 'person');
  for (let at = await transaction.objectStore('queue').openCursor(); at; at = await at.continue())
    await at.update({ ...at.value, operation: upgradeOperation(at.value.operation) });
}

export async function openDeviceStore(name = 'weskopos'): Promise<DeviceStore> {
  const db = await openDB<Schema>(name, VERSION, {
    upgrade(fresh, from, _to, transaction) {
      if (from < 1) {
        fresh.createObjectStore('queue', { autoIncrement: true }).createIndex('id', 'operation.id', { unique: true });
        fresh.createObjectStore('refused', { keyPath: 'id' });
        fresh.createObjectStore('photos', { keyPath: 'id' });
        fresh.createObjectStore('documents');
        return;
      }
      void liftDocuments(transaction);
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
    async refuse(refused) {
      await db.put('refused', { ...refused, id: refused.operation.id });
    },
    refused: () => db.getAll('refused'),
    forgetRefused: (id) => db.delete('refused', id),
    async keepPhoto(photo) {
      const tx = db.transaction('photos', 'readwrite', { durability: 'strict' });
      const put = tx.store.put(photo);
      tx.commit();
      await Promise.all([put, tx.done]);
    },
    photo: (id) => db.get('photos', id),
    unsentPhotos: async () => (await db.getAll('photos')).filter((photo) => !photo.sent),
    dropPhoto: (id) => db.delete('photos', id),
    read: async <T>(key: string) => (await db.get('documents', key)) as T | undefined,
    async write(key, value) {
      await db.put('documents', value, key);
    },
  };
}
