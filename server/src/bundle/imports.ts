import { PHOTO_LIMITS, type ImportPlan } from '@weskopos/contract';
import { createHash, randomUUID } from 'node:crypto';
import { createReadStream, createWriteStream } from 'node:fs';
import fs from 'node:fs/promises';
import path from 'node:path';
import { type Readable, Transform } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import sharp from 'sharp';
import { sync } from '../db/copyDurably';
import type { Engine } from '../db/engine';
import { NotFound, Refused } from '../http/problems';
import type { Ledger } from '../ledger/ledger';
import { thumbOf } from '../photos/developPhoto';
import type { PhotoFiles } from '../photos/photoFiles';
import { BundleRefused } from './bundleProblem';
import type { TakenLine } from './changesOf';
import { Bundle } from './openBundle';
import { planImport } from './planImport';

/** What taking bundles needs. */
export interface ImportNeeds {
  readonly engine: Engine;
  readonly ledger: Ledger;
  readonly photos: PhotoFiles;
  readonly clock: () => Date;
  /** Where archives wait and what was taken lies. */
  readonly folder: string;
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
      await pipeline(content, noMoreThan(MOST_BUNDLE_BYTES), createWriteStream(file, { mode: 0o600 }));
      const plan = await this.plan(id, by, { keepPhotos: false });
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
      const plan = await this.plan(id, by, { keepPhotos: true });
      if (plan.blocking.length > 0) throw new Refused(409, 'import-blocked', plan.blocking[0]?.code ?? '');
      const differ = Object.values(plan.records).reduce((sum, one) => sum + one.differ, 0);
      if (differ > 0 && !keepOurs) throw new Refused(409, 'import-differs', 'keepOurs');
      const fresh = Object.values(plan.records).reduce((sum, one) => sum + one.fresh, 0);
      if (fresh > 0) await this.accept(id, by);
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
  private async plan(id: string, by: string, { keepPhotos }: { readonly keepPhotos: boolean }): Promise<ImportPlan> {
    const { engine, clock, photos } = this.needs;
    const bundle = await Bundle.open(this.archiveOf(id));
    const draft = createWriteStream(this.draftOf(id), { mode: 0o600 });
    const written = new Promise<void>((resolve, reject) => draft.once('error', reject).once('finish', resolve));
    // Waited for in the end; a draft that is given up before is no unhandled failure.
    written.catch(() => undefined);
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
        (lines) => writeLine(draft, lines),
      );
      draft.end();
      await written;
      return { id, ...plan };
    } finally {
      draft.destroy();
      bundle.close();
    }
  }

  /** One change, whatever is in it: journalled and applied like any other. */
  private async accept(id: string, by: string): Promise<void> {
    const { folder, ledger, clock } = this.needs;
    const { sha256, vehicles } = await summed(this.draftOf(id));
    const file = `${sha256}.changes`;
    await fs.rename(this.draftOf(id), path.join(folder, file));
    await sync(path.join(folder, file));
    await sync(folder);
    const at = clock().toISOString();
    const body = { file, vehicles };
    const [outcome] = await ledger.accept([
      { operation: { id: randomUUID(), at, device: 'server', kind: 'bundle.take', body }, by, receivedAt: at },
    ]);
    if (outcome?.refusal) throw new Refused(409, 'import-changed', outcome.refusal);
  }
}

/** What was taken, by the hash of its changes; the journal names it. */
const TAKEN = /^[0-9a-f]{64}\.changes$/;

async function writeLine(to: NodeJS.WritableStream, lines: readonly TakenLine[]): Promise<void> {
  if (!to.write(`${JSON.stringify(lines)}\n`)) await new Promise<void>((resolve) => to.once('drain', resolve));
}

async function summed(file: string): Promise<{ sha256: string; vehicles: string[] }> {
  const hash = createHash('sha256');
  const vehicles: string[] = [];
  let rest = '';
  for await (const chunk of createReadStream(file)) {
    hash.update(chunk as Buffer);
    const lines = (rest + (chunk as Buffer).toString('utf8')).split('\n');
    rest = lines.pop() ?? '';
    for (const line of lines) if (line.includes('"vehicle.put"')) vehicles.push(...vehiclesOf(line));
  }
  return { sha256: hash.digest('hex'), vehicles };
}

const vehiclesOf = (line: string): string[] =>
  (JSON.parse(line) as TakenLine[]).flatMap(({ operation }) =>
    operation.kind === 'vehicle.put' ? [operation.body.id] : [],
  );

function noMoreThan(most: number): Transform {
  let bytes = 0;
  return new Transform({
    transform(chunk: Buffer, _encoding, done) {
      bytes += chunk.length;
      done(bytes > most ? new BundleRefused('bundle-too-large', 'archive') : null, chunk);
    },
  });
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
