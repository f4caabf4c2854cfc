import type { DeviceStore, QueuedOperation, QueuedPhoto, RefusedOperation } from './deviceStore';

/**
 * Stands in where the browser keeps nothing (a private window, storage denied or full): all of it is gone with the page,
 * and the page says so. Changes still wait here for the server.
 */
export function memoryStore(): DeviceStore {
  let queue: QueuedOperation[] = [];
  const refused = new Map<string, RefusedOperation>();
  const photos = new Map<string, QueuedPhoto>();
  const documents = new Map<string, unknown>();
  const done = () => Promise.resolve();
  return {
    queue: () => Promise.resolve([...queue]),
    enqueue: (queued) => done().then(() => void queue.push(queued)),
    settle: (ids) => done().then(() => void (queue = queue.filter(({ operation }) => !ids.includes(operation.id)))),
    replace: (operations) => {
      const byId = new Map(operations.map((operation) => [operation.id, operation]));
      queue = queue.map((one) => ({ ...one, operation: byId.get(one.operation.id) ?? one.operation }));
      return done();
    },
    refuse: (one) => done().then(() => void refused.set(one.operation.id, one)),
    refused: () => Promise.resolve([...refused.values()]),
    forgetRefused: (id) => done().then(() => void refused.delete(id)),
    tryAgain: (refusedId, queued) => {
      refused.delete(refusedId);
      queue.push(queued);
      return done();
    },
    keepPhoto: (photo) => done().then(() => void photos.set(photo.id, photo)),
    photo: (id) => Promise.resolve(photos.get(id)),
    photos: () => Promise.resolve([...photos.values()]),
    dropPhoto: (id) => done().then(() => void photos.delete(id)),
    read: <T>(key: string) => Promise.resolve(documents.get(key) as T | undefined),
    readAll: <T>(prefix: string) =>
      Promise.resolve(
        new Map(
          [...documents].flatMap(([key, value]) =>
            key.startsWith(prefix) ? [[key.slice(prefix.length), value as T]] : [],
          ),
        ),
      ),
    write: (key, value) => done().then(() => void documents.set(key, value)),
    writeAll: (values) =>
      done().then(() => {
        for (const [key, value] of values)
          if (value === undefined) documents.delete(key);
          else documents.set(key, value);
      }),
  };
}
