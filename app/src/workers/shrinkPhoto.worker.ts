import { PHOTO_LIMITS } from '@weskopos/contract/device';
import { imageSize } from 'image-size';

/** What the worker says of a photo it was given. */
export interface ShrinkAnswer {
  readonly blob?: Blob;
  readonly refusal?: 'not-a-picture' | 'too-many-pixels';
}

/** Decoding and encoding a camera's picture takes long enough to be felt: it happens off the page's thread. */
async function shrink(file: Blob): Promise<ShrinkAnswer> {
  // The header first: a small file may unfold to gigabytes and take the tab with it.
  const head = new Uint8Array(await file.slice(0, 512 * 1024).arrayBuffer());
  let size: { width: number; height: number };
  try {
    size = imageSize(head);
  } catch {
    return { refusal: 'not-a-picture' };
  }
  const { mostPixels, mostSide, keepSide } = PHOTO_LIMITS;
  if (size.width * size.height > mostPixels || Math.max(size.width, size.height) > mostSide)
    return { refusal: 'too-many-pixels' };
  try {
    const picture = await createImageBitmap(file);
    const scale = Math.min(1, keepSide / Math.max(picture.width, picture.height));
    const canvas = new OffscreenCanvas(Math.round(picture.width * scale), Math.round(picture.height * scale));
    canvas.getContext('2d')?.drawImage(picture, 0, 0, canvas.width, canvas.height);
    picture.close();
    return { blob: await canvas.convertToBlob({ type: 'image/jpeg', quality: 0.85 }) };
  } catch {
    return { refusal: 'not-a-picture' };
  }
}

self.onmessage = (event: MessageEvent<Blob>) => {
  void shrink(event.data).then((answer) => self.postMessage(answer));
};
