import fs from 'node:fs/promises';
import path from 'node:path';
import { copyDurably, sync } from '../db/copyDurably';
import { PhotoFiles, type PhotoSize } from '../photos/photoFiles';
import { hashFile } from '../signing/hashFile';
import { MANIFEST_FILE, PHOTOS_FILE, namesIn, readManifest, setsIn } from './backupFolder';

/** A backup that cannot be brought back, and why. */
export class BackupUnusable extends Error {}

const SIZES: readonly PhotoSize[] = ['full', 'thumb'];

/**
 * Brings a backup back into a folder that is empty or not there. Every file is checked by its hash before the folder gets
 * its name: it is there whole or not at all.
 *
 * @param backupFolder where backups go; @param name of one of them, the newest where it is not told
 * @returns the backup's name
 */
export async function restoreBackup(backupFolder: string, target: string, name?: string): Promise<string> {
  if ((await namesIn(target)).length > 0)
    throw new BackupUnusable(`${target} is not empty. Name an empty folder, or one that is not there.`);
  const [newest] = await setsIn(backupFolder);
  const wanted = name ?? newest?.name;
  if (wanted === undefined) throw new BackupUnusable(`There is no backup in ${backupFolder}.`);
  const set = path.join(backupFolder, 'sets', wanted);
  const manifest = await readManifest(set);
  if (!manifest) throw new BackupUnusable(`${set} is no whole backup.`);
  const draft = `${target}.restoring`;
  await fs.rm(draft, { recursive: true, force: true });
  await copyDurably(set, draft);
  await fs.rm(path.join(draft, MANIFEST_FILE));
  for (const { path: file, sha256 } of manifest.files) await holds(path.join(draft, file), sha256, file);
  const [store, photos] = [
    new PhotoFiles(path.join(backupFolder, 'photos')),
    new PhotoFiles(path.join(draft, 'photos')),
  ];
  const listed = await fs.readFile(path.join(draft, PHOTOS_FILE), 'utf8');
  for (const sha256 of listed.split('\n').filter((line) => line !== '')) {
    for (const size of SIZES) await copyDurablyOne(store.pathOf(sha256, size), photos.pathOf(sha256, size));
    await holds(photos.pathOf(sha256, 'full'), sha256, `photo ${sha256}`);
  }
  await fs.rm(path.join(draft, PHOTOS_FILE));
  await fs.rm(target, { recursive: true, force: true });
  await fs.rename(draft, target);
  await sync(path.dirname(target));
  return wanted;
}

async function holds(file: string, sha256: string, name: string): Promise<void> {
  const now = await hashFile(file).catch(() => null);
  if (now === null) throw new BackupUnusable(`The backup lacks ${name}.`);
  if (now !== sha256) throw new BackupUnusable(`In the backup ${name} is not what it was: its hash is another.`);
}

async function copyDurablyOne(from: string, to: string): Promise<void> {
  await fs.mkdir(path.dirname(to), { recursive: true, mode: 0o700 });
  await fs.copyFile(from, to).catch(() => {
    throw new BackupUnusable(`The backup lacks ${path.basename(from)}.`);
  });
  await sync(to);
}
