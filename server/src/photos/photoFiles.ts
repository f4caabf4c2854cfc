import { createHash } from 'node:crypto';
import fs from 'node:fs/promises';
import path from 'node:path';
import { sync } from '../db/copyDurably';

/** How large a photo is given. */
export type PhotoSize = 'full' | 'thumb';

/** Photos on disk under the hash of their bytes: `ab/abcdef….jpg`, beside it the thumbnail. */
export class PhotoFiles {
  constructor(private readonly folder: string) {}

  pathOf(sha256: string, size: PhotoSize): string {
    return path.join(this.folder, sha256.slice(0, 2), `${sha256}${size === 'thumb' ? '.thumb' : ''}.jpg`);
  }

  /** Writes both files, on disk when it resolves; gives the hash of the full one. */
  async keep(full: Buffer, thumb: Buffer): Promise<string> {
    const sha256 = createHash('sha256').update(full).digest('hex');
    await writeDurably(this.pathOf(sha256, 'thumb'), thumb);
    await writeDurably(this.pathOf(sha256, 'full'), full);
    return sha256;
  }
}

/** Under a name of its own first, then renamed: a file by its final name is always whole. */
async function writeDurably(file: string, bytes: Buffer): Promise<void> {
  await fs.mkdir(path.dirname(file), { recursive: true, mode: 0o700 });
  const draft = `${file}.${process.pid}.${Math.random().toString(36).slice(2)}`;
  const handle = await fs.open(draft, 'w', 0o600);
  try {
    await handle.writeFile(bytes);
    await handle.sync();
  } finally {
    await handle.close();
  }
  await fs.rename(draft, file);
  // The name as well: a file whose folder was not written down is gone after a power loss.
  await sync(path.dirname(file));
}
