import { PHOTO_LIMITS, type ImportPlan } from '@weskopos/contract';
import { createHash, randomUUID } from 'node:crypto';
import { once } from 'node:events';
import { createWriteStream } from 'node:fs';
import fs from 'node:fs/promises';
import path from 'node:path';
import type { Readable } from 'node:stream';
import { finished, pipeline } from 'node:stream/promises';
import sharp from 'sharp';
import type { Engine } from '../db/engine';
import { noMoreThan } from '../http/noMoreThan';
import { NotFound, Refused } from '../http/problems';
import { thumbOf } from '../photos/developPhoto';
import type { PhotoFiles } from '../photos/photoFiles';
import { BundleRefused } from './bundleProblem';
import { TAKEN, lifeTouched, takeLaidReady, type LaidReady, type TakeNeeds } from './laidReady';
import { Bundle } from './openBundle';
import { planImport } from './planImport';

/** What taking bundles needs. */
export interface ImportNeeds extends TakeNeeds {
  readonly engine: Engine;
  readonly photos: PhotoFiles;
}

/** Bytes of an archive at most: a workshop of a thousand vehicles has some twenty gigabytes of photos. */
export const MOST_BUNDLE_BYTES = 100e9;

/** Bundles that were sent: looked at first, taken when a lead says so, forgotten at the next start. */
export class Imports {
  private readonly sent = new Set<string>();

  constructor(private readonly needs: ImportNeeds) {}

  /** Throws away what waited when the server stopped; what was taken stays. */
  async open(): Promise<void> {
    const { folder } = this.needs;
    await fs.mkdir(folder, { recursive: true, mode: 0o700 });
    for (const name of await fs.readdir(folder))
      if (!TAKEN.test(name)) await fs.rm(path.join(folder, name), { force: true });
  }

  /** Keeps an archive that is being sent and tells what taking it would do. Throws {@link BundleRefused}. */
  async look(content: Readable, by: string): Promise<ImportPlan> {
    const id = randomUUID();
    const file = this.archiveOf(id);
    try {
      await pipeline(
        content,
        noMoreThan(MOST_BUNDLE_BYTES, () => new BundleRefused('bundle-too-large', 'archive')),
        createWriteStream(file, { mode: 0o600 }),
      );
      const { plan } = await this.plan(id, by, { keepPhotos: false });
      this.sent.add(id);
      return plan;
    } catch (error) {
      await fs.rm(file, { force: true });
      throw error;
    } finally {
      await fs.rm(this.draftOf(id), { force: true });
    }
  }

  /** Takes what is new in it. @param keepOurs what is here otherwise stays; without that nothing is taken then */
  async take(id: string, by: string, keepOurs: boolean): Promise<ImportPlan> {
    if (!this.sent.delete(id)) throw new NotFound('import');
    try {
      // Looked at anew: others worked meanwhile.
      const ready = await this.plan(id, by, { keepPhotos: true });
      const { plan } = ready;
      if (plan.blocking.length > 0) throw new Refused(409, 'import-blocked', plan.blocking[0]?.code ?? '');
      const differ = Object.values(plan.records).reduce((sum, one) => sum + one.differ, 0);
      if (differ > 0 && !keepOurs) throw new Refused(409, 'import-differs', 'keepOurs');
      const fresh = Object.values(plan.records).reduce((sum, one) => sum + one.fresh, 0);
      if (fresh > 0) await takeLaidReady(this.needs, { ...ready, draft: this.draftOf(id) }, by);
      await fs.rm(this.archiveOf(id), { force: true });
      return plan;
    } catch (error) {
      // It can be tried again.
      this.sent.add(id);
      throw error;
    } finally {
      await fs.rm(this.draftOf(id), { force: true });
    }
  }

  async drop(id: string): Promise<void> {
    if (!this.sent.delete(id)) throw new NotFound('import');
    await fs.rm(this.archiveOf(id), { force: true });
  }

  private archiveOf = (id: string) => path.join(this.needs.folder, `${id}.zip`);
  private draftOf = (id: string) => path.join(this.needs.folder, `${id}.draft`);

  /** Tells what is new and lays its changes ready in a draft. */
  private async plan(id: string, by: string, { keepPhotos }: { readonly keepPhotos: boolean }): Promise<Planned> {
    const { engine, clock, photos } = this.needs;
    const bundle = await Bundle.open(this.archiveOf(id));
    const draft = createWriteStream(this.draftOf(id), { mode: 0o600 });
    // A draft that is given up before it is waited for is no unhandled failure.
    draft.on('error', () => undefined);
    const hash = createHash('sha256');
    const vehicles: string[] = [];
    const touched = new Set<string>();
    try {
      const plan = await planImport(
        bundle,
        {
          engine,
          by,
          newId: randomUUID,
          receivedAt: clock().toISOString(),
          wantPhoto: async (sha256) => {
            const full = await bundle.photo(sha256);
            await photoProblem(full, sha256);
            if (keepPhotos) await photos.keep(full, await thumbOf(full));
          },
        },
        async (lines) => {
          const text = `${JSON.stringify(lines)}\n`;
          hash.update(text);
          for (const { operation } of lines) {
            if (operation.kind === 'vehicle.put') vehicles.push(operation.body.id);
            const of = lifeTouched(operation);
            if (of !== null) touched.add(of);
          }
          if (!draft.write(text)) await once(draft, 'drain');
        },
      );
      draft.end();
      await finished(draft);
      return { plan: { id, ...plan }, hash: hash.digest('hex'), vehicles, touched: [...touched] };
    } finally {
      draft.destroy();
      bundle.close();
    }
  }
}

/** What an archive would do, with what of it is new laid ready. */
interface Planned extends Omit<LaidReady, 'draft'> {
  readonly plan: ImportPlan;
}

/** A picture comes as it was kept: a JPEG no larger than ours, without what a camera writes into it. */
async function photoProblem(full: Buffer, sha256: string): Promise<void> {
  const told = await sharp(full, { limitInputPixels: PHOTO_LIMITS.mostPixels })
    .metadata()
    .catch(() => null);
  const isOurs = told?.format === 'jpeg' && !told.exif && Math.max(told.width, told.height) <= PHOTO_LIMITS.keepSide;
  if (!isOurs)
    throw new BundleRefused('bundle-lines', 'photos', [
      {
        field: `photos/${sha256}.jpg`,
        code: 'not-a-picture',
        message: `a JPEG of at most ${PHOTO_LIMITS.keepSide} px without camera data`,
      },
    ]);
}
