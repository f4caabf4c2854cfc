import { recordPhoto } from '../../sync/workshop';
import { shrinkPhoto } from '../../workers/shrinkPhoto';

const REFUSED = {
  'too-large': 'The picture was not taken: it is over 30 MB. The finding is kept.',
  'not-a-picture': 'The picture was not taken: this file is not a picture that can be read. The finding is kept.',
  'too-many-pixels':
    'The picture was not taken: it has more than 60 million pixels or a side over 16,000. The finding is kept.',
} as const;

/** Shrinks a picture and keeps it on the device; gives its id, or why it was not taken. */
export async function keepPicture(picture: File): Promise<{ readonly id: string } | { readonly problem: string }> {
  const shrunk = await shrinkPhoto(picture);
  if ('refusal' in shrunk) return { problem: REFUSED[shrunk.refusal] };
  return { id: await recordPhoto(shrunk.blob) };
}
