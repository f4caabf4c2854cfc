import fs from 'node:fs/promises';
import path from 'node:path';
import { copyDurably, sync } from '../db/copyDurably';
import { copyWhole, type CheckpointPorts } from '../ledger/checkpoints';
import { PhotoFiles, type PhotoSize } from '../photos/photoFiles';
import { hashFile } from '../signing/hashFile';
import {
  MANIFEST_FILE,
  PHOTOS_FILE,
  filesIn,
  namesIn,
  setName,
  setsIn,
  superfluous,
  type BackupManifest,
} from './backupFolder';

/** What a backup is made of. */
export interface BackupSource extends Pick<CheckpointPorts, 'engine' | 'ledger' | 'open'> {
  readonly dataFolder: string;
  readonly backupFolder: string;
  readonly photos: PhotoFiles;
  readonly clock: () => Date;
}

/** Small folders that go along whole. */
const ALONG = ['keys', 'imports'] as const;
const SIZES: readonly PhotoSize[] = ['full', 'thumb'];

/**
 * Makes a backup while the workshop works: the database as it stands at one moment, opened and asked; keys and what was
 * imported; photos beside all backups, each once. It counts when its manifest is there, with the hash of every file.
 *
 * @returns its folder
 */
export async function takeBackup(source: BackupSource): Promise<string> {
  const { dataFolder, backupFolder, clock } = source;
  const made = clock();
  const sets = path.join(backupFolder, 'sets');
  await fs.mkdir(sets, { recursive: true, mode: 0o700 });
  // What was begun and never ended.
  for (const name of await namesIn(sets))
    if (name.startsWith('draft-')) await fs.rm(path.join(sets, name), { recursive: true });
  const draft = path.join(sets, `draft-${setName(made)}`);
  await fs.mkdir(draft, { mode: 0o700 });
  try {
    const position = await copyWhole(source, path.join(draft, 'database'), () => Promise.resolve());
    for (const name of ALONG)
      if ((await filesIn(path.join(dataFolder, name))).length > 0)
        await copyDurably(path.join(dataFolder, name), path.join(draft, name));
    // After the database: a photo is on disk before its row is.
    const { photos, photoBytes } = await keepPhotos(source);
    await writeSynced(path.join(draft, PHOTOS_FILE), photos.map((sha256) => `${sha256}\n`).join(''));
    const files: BackupManifest['files'] = await Promise.all(
      (await filesIn(draft)).map(async (file) => ({
        path: file,
        bytes: (await fs.stat(path.join(draft, file))).size,
        sha256: await hashFile(path.join(draft, file)),
      })),
    );
    const told = { format: 'weskopos-backup', version: 1, made: made.toISOString() } as const;
    const manifest: BackupManifest = { ...told, position, files, photoBytes };
    await writeSynced(path.join(draft, MANIFEST_FILE), JSON.stringify(manifest));
    await sync(draft);
    const set = path.join(sets, setName(made));
    await fs.rename(draft, set);
    await sync(sets);
    await letGo(backupFolder);
    return set;
  } catch (error) {
    await fs.rm(draft, { recursive: true, force: true });
    throw error;
  }
}

interface KeptPhotos {
  /** By the hashes of their files. */
  readonly photos: readonly string[];
  readonly photoBytes: number;
}

/** Copies photos that no backup has yet. One that is gone from the workshop is no reason to have no backup. */
async function keepPhotos({ engine, photos, backupFolder }: BackupSource): Promise<KeptPhotos> {
  const store = new PhotoFiles(path.join(backupFolder, 'photos'));
  const rows = await engine.query<{ sha256: string }>('select distinct sha256 from photo order by sha256');
  const kept: string[] = [];
  let photoBytes = 0;
  for (const { sha256 } of rows) {
    const sizes = await Promise.all(
      SIZES.map((size) => copyOnce(photos.pathOf(sha256, size), store.pathOf(sha256, size))),
    );
    if (sizes.includes(null)) continue;
    kept.push(sha256);
    photoBytes += sizes.reduce<number>((sum, size) => sum + (size ?? 0), 0);
  }
  return { photos: kept, photoBytes };
}

/** @returns bytes of the file that is there afterwards; null where there is none */
async function copyOnce(from: string, to: string): Promise<number | null> {
  const [source, target] = await Promise.all([sizeOf(from), sizeOf(to)]);
  if (source === null || source === target) return target;
  await fs.mkdir(path.dirname(to), { recursive: true, mode: 0o700 });
  await fs.copyFile(from, `${to}.draft`);
  await sync(`${to}.draft`);
  await fs.rename(`${to}.draft`, to);
  await sync(path.dirname(to));
  return source;
}

const sizeOf = (file: string): Promise<number | null> =>
  fs.stat(file).then(
    ({ size }) => size,
    () => null,
  );

async function writeSynced(file: string, text: string): Promise<void> {
  await fs.writeFile(file, text, { mode: 0o600 });
  await sync(file);
}

/** Lets go of backups that the scheme keeps no longer. */
async function letGo(backupFolder: string): Promise<void> {
  const sets = await setsIn(backupFolder);
  const gone = new Set(superfluous(sets.map(({ made }) => made)));
  for (const { name, made } of sets)
    if (gone.has(made)) await fs.rm(path.join(backupFolder, 'sets', name), { recursive: true, force: true });
}
