import { randomUUID } from 'node:crypto';
import type { Engine } from '../db/engine';
import type { Ledger } from '../ledger/ledger';
import type { PhotoFiles } from './photoFiles';
import { developPhoto } from './developPhoto';

/** What keeping a picture takes. */
export interface PhotoNeeds {
  readonly engine: Engine;
  readonly ledger: Ledger;
  readonly photos: PhotoFiles;
  readonly clock: () => Date;
}

/** Develops a sent picture, keeps its files, then its row. Sending the same id again keeps the first picture. */
export async function keepPhoto(
  { engine, ledger, photos, clock }: PhotoNeeds,
  id: string,
  sent: Buffer,
  by: string,
): Promise<void> {
  const [there] = await engine.query('select 1 from photo where id = $1', [id]);
  if (there) return;
  const { full, thumb, width, height } = await developPhoto(sent);
  const sha256 = await photos.keep(full, thumb);
  const at = clock().toISOString();
  const operation = {
    id: randomUUID(),
    at,
    device: 'server',
    kind: 'photo.add',
    body: { id, sha256, width, height, bytes: full.length },
  } as const;
  await ledger.accept([{ operation, by, receivedAt: at }]);
}
