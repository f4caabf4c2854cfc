import { PHOTO_LIMITS } from '@weskopos/contract';
import sharp from 'sharp';

/** Why a file is not taken as a photo. */
export type PhotoRefusal = 'not-a-picture' | 'too-many-pixels' | 'too-large';

/** A file that cannot be taken as a photo, and why. */
export class PhotoRefused extends Error {
  constructor(readonly refusal: PhotoRefusal) {
    super(refusal);
  }
}

/** A photo as it is kept: upright, without what the camera wrote into it. */
export interface DevelopedPhoto {
  readonly full: Buffer;
  readonly thumb: Buffer;
  readonly width: number;
  readonly height: number;
}

const TAKEN = new Set(['jpeg', 'png', 'webp']);

/**
 * Decodes, turns upright, shrinks to 2048 px and encodes anew as JPEG, so that nothing of the sent file's own
 * structure is kept: place and camera are stripped. Throws {@link PhotoRefused}.
 */
export async function developPhoto(sent: Buffer): Promise<DevelopedPhoto> {
  const { mostBytes, mostPixels, mostSide, keepSide } = PHOTO_LIMITS;
  if (sent.length > mostBytes) throw new PhotoRefused('too-large');
  if (sent.length === 0) throw new PhotoRefused('not-a-picture');
  // The header alone is read first: a small file may unfold to gigabytes.
  const header = await sharp(sent, { limitInputPixels: false })
    .metadata()
    .catch(() => null);
  if (!header?.width || !header.height || !TAKEN.has(header.format ?? '')) throw new PhotoRefused('not-a-picture');
  if (header.width * header.height > mostPixels || Math.max(header.width, header.height) > mostSide)
    throw new PhotoRefused('too-many-pixels');
  try {
    const upright = sharp(sent, { limitInputPixels: mostPixels, failOn: 'error' }).rotate();
    const { data: full, info } = await upright
      .clone()
      .resize(fitted(keepSide))
      .flatten({ background: '#fff' })
      .jpeg({ quality: 82 })
      .toBuffer({ resolveWithObject: true });
    return { full, thumb: await thumbOf(full), width: info.width, height: info.height };
  } catch {
    // sharp names many ways to be broken; to the sender they are one.
    throw new PhotoRefused('not-a-picture');
  }
}

const fitted = (side: number) => ({ width: side, height: side, fit: 'inside', withoutEnlargement: true }) as const;

/** The small picture of a kept one. Rejects where it is no picture. */
export function thumbOf(full: Buffer): Promise<Buffer> {
  return sharp(full, { limitInputPixels: PHOTO_LIMITS.mostPixels })
    .resize(fitted(PHOTO_LIMITS.thumbSide))
    .jpeg({ quality: 70 })
    .toBuffer();
}
