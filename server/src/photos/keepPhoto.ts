import type { Engine } from '../db/engine';
import { takeOwn, type OwnNeeds } from '../ledger/takeOwn';
import type { PhotoFiles } from './photoFiles';
import { developPhoto } from './developPhoto';

/** What keeping a picture takes. */
export interface PhotoNeeds extends OwnNeeds {
  readonly engine: Engine;
  readonly photos: PhotoFiles;
}

/** Develops a sent picture, keeps its files, then its row. Sending the same id again keeps the first picture. */
export async function keepPhoto(needs: PhotoNeeds, id: string, sent: Buffer, by: string): Promise<void> {
  const { engine, photos } = needs;
  const [there] = await engine.query('select 1 from photo where id = $1', [id]);
  if (there) return;
  const { full, thumb, width, height } = await developPhoto(sent);
  const sha256 = await photos.keep(full, thumb);
  await takeOwn(needs, { kind: 'photo.add', body: { id, sha256, width, height, bytes: full.length } }, by);
}
