import { idSchema, PHOTO_LIMITS, PHOTO_PATH } from '@weskopos/contract';
import express from 'express';
import { NotFound, Refused } from '../http/problems';
import { requirePerson, signedInPerson } from '../people/guard';
import type { Api } from '../people/register';
import { PhotoRefused, type PhotoRefusal } from './developPhoto';
import { keepPhoto, type PhotoNeeds } from './keepPhoto';
import type { PhotoSize } from './photoFiles';

const STATUS: Record<PhotoRefusal, number> = { 'too-large': 413, 'too-many-pixels': 413, 'not-a-picture': 415 };

/** Sizes a photo is given in, by the end of its address. */
const ADDRESSES: readonly (readonly [string, PhotoSize])[] = [
  ['', 'full'],
  ['/thumb', 'thumb'],
];

/** Photos going up and coming down. */
export function photoRoutes(api: Api, context: PhotoNeeds): void {
  const { app } = api;
  const bytes = express.raw({ type: () => true, limit: PHOTO_LIMITS.mostBytes });

  app.post(`${PHOTO_PATH}/:id`, requirePerson(api), bytes, async (request, response) => {
    const id = photoId(request.params.id);
    try {
      await keepPhoto(
        context,
        id,
        Buffer.isBuffer(request.body) ? request.body : Buffer.alloc(0),
        signedInPerson(response).id,
      );
    } catch (error) {
      if (error instanceof PhotoRefused) throw new Refused(STATUS[error.refusal], error.refusal, 'photo');
      throw error;
    }
    response.status(201).json({ id });
  });

  for (const [suffix, size] of ADDRESSES) {
    app.get(`${PHOTO_PATH}/:id${suffix}`, requirePerson(api), async (request, response) => {
      const [photo] = await context.engine.query<{ sha256: string }>('select sha256 from photo where id = $1', [
        photoId(request.params.id),
      ]);
      if (!photo) throw new NotFound('photo');
      response.set('Cache-Control', 'private, max-age=31536000, immutable').type('jpeg');
      await new Promise<void>((resolve, reject) =>
        response.sendFile(context.photos.pathOf(photo.sha256, size), { dotfiles: 'allow' }, (error) =>
          error ? reject(error) : resolve(),
        ),
      );
    });
  }
}

function photoId(given: string | string[] | undefined): string {
  const id = idSchema.safeParse(given);
  if (!id.success) throw new NotFound('photo');
  return id.data;
}
