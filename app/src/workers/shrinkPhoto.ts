import type { ShrinkAnswer } from './shrinkPhoto.worker';

/** Larger than any camera's file, smaller than what stalls a phone. */
const MOST_FILE_BYTES = 30 * 1024 * 1024;

/** A photo made small enough to keep, or why it cannot be. */
export type ShrunkPhoto =
  { readonly blob: Blob } | { readonly refusal: 'too-large' | 'not-a-picture' | 'too-many-pixels' };

/** Shrinks a picture to what is sent, in a worker. What is not a picture, or would not fit in memory, is refused with why. */
export async function shrinkPhoto(file: Blob): Promise<ShrunkPhoto> {
  if (file.size > MOST_FILE_BYTES) return { refusal: 'too-large' };
  const worker = new Worker(new URL('./shrinkPhoto.worker', window.location.href));
  try {
    const { blob, refusal } = await new Promise<ShrinkAnswer>((resolve, reject) => {
      worker.onmessage = (event: MessageEvent<ShrinkAnswer>) => resolve(event.data);
      worker.onerror = (event) => reject(new Error(event.message));
      worker.postMessage(file);
    });
    return blob ? { blob } : { refusal: refusal ?? 'not-a-picture' };
  } finally {
    worker.terminate();
  }
}
