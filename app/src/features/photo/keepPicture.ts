import { recordPhoto } from '../../sync/workshop';
import { shrinkPhoto } from '../../workers/shrinkPhoto';
import { photo as say } from '@weskopos/words/en/pages/photo';

const REFUSED = {
  'too-large': say.pictureTooLarge,
  'not-a-picture': say.pictureUnreadable,
  'too-many-pixels': say.pictureTooManyPixels,
} as const;

/** Shrinks a picture and keeps it on the device; gives its id, or why it was not taken. */
export async function keepPicture(picture: File): Promise<{ readonly id: string } | { readonly problem: string }> {
  const shrunk = await shrinkPhoto(picture);
  if ('refusal' in shrunk) return { problem: REFUSED[shrunk.refusal] };
  return { id: await recordPhoto(shrunk.blob) };
}
