import type { BackupSet } from '@weskopos/contract';
import fs from 'node:fs/promises';
import path from 'node:path';
import { errorCode } from '../errorCode';

/** What a backup says of itself, the last file that is written. */
export interface BackupManifest {
  readonly format: 'weskopos-backup';
  readonly version: 1;
  readonly made: string;
  /** The last journal line its database holds. */
  readonly position: number;
  /** Every file of it, with its hash. */
  readonly files: readonly { readonly path: string; readonly bytes: number; readonly sha256: string }[];
  /** Of the photos beside the sets that belong to it. */
  readonly photoBytes: number;
}

export const MANIFEST_FILE = 'backup.json';
/** The photos that belong to a set, a hash a line: there may be very many. */
export const PHOTOS_FILE = 'photos.txt';
/** A set is called by its moment, sortable; without colons, which some disks do not take. */
export const setName = (made: Date): string => made.toISOString().slice(0, 19).replaceAll(':', '-') + 'Z';
const SET = /^(\d{4}-\d\d-\d\d)T(\d\d)-(\d\d)-(\d\d)Z$/;

/** Backups that were made and checked, newest first. */
export async function setsIn(folder: string): Promise<BackupSet[]> {
  const sets = await Promise.all(
    (await namesIn(path.join(folder, 'sets'))).flatMap((name) => {
      const made = momentOf(name);
      return made === null ? [] : [madeAt(path.join(folder, 'sets', name), name, made)];
    }),
  );
  return sets.filter((one) => one !== null).sort((a, b) => (a.made < b.made ? 1 : -1));
}

/** When the newest was made, ISO 8601; null where there is none. */
export async function newestIn(folder: string): Promise<string | null> {
  const made = (await namesIn(path.join(folder, 'sets'))).flatMap((name) => momentOf(name) ?? []);
  return made.sort().at(-1) ?? null;
}

/** Null for what is no set's name. */
function momentOf(name: string): string | null {
  const [, day, h, m, s] = SET.exec(name) ?? [];
  return day === undefined ? null : `${day}T${h}:${m}:${s}.000Z`;
}

async function madeAt(folder: string, name: string, made: string): Promise<BackupSet | null> {
  const manifest = await readManifest(folder);
  const bytes = manifest?.files.reduce((sum, one) => sum + one.bytes, 0) ?? 0;
  return manifest && { name, made, bytes, photoBytes: manifest.photoBytes };
}

/** Null for a folder that is no whole backup. */
export async function readManifest(set: string): Promise<BackupManifest | null> {
  try {
    const raw = JSON.parse(await fs.readFile(path.join(set, MANIFEST_FILE), 'utf8')) as Partial<BackupManifest>;
    return raw.format === 'weskopos-backup' && raw.version === 1 ? (raw as BackupManifest) : null;
  } catch (error) {
    if (errorCode(error) === 'ENOENT' || error instanceof SyntaxError) return null;
    throw error;
  }
}

/** Names in a folder; none where it is not there. */
export async function namesIn(folder: string): Promise<string[]> {
  return fs.readdir(folder).catch((error: unknown) => {
    // Nothing there, or a file where a folder should be: nothing is kept in it either way.
    if (errorCode(error) === 'ENOENT' || errorCode(error) === 'ENOTDIR') return [];
    throw error;
  });
}

/** Every file below a folder, by its path from there. */
export async function filesIn(folder: string, below = ''): Promise<string[]> {
  const found: string[] = [];
  const entries = await fs.readdir(path.join(folder, below), { withFileTypes: true }).catch((error: unknown) => {
    if (errorCode(error) === 'ENOENT' || errorCode(error) === 'ENOTDIR') return [];
    throw error;
  });
  for (const entry of entries) {
    const at = path.join(below, entry.name);
    if (entry.isDirectory()) found.push(...(await filesIn(folder, at)));
    else if (entry.isFile()) found.push(at);
  }
  return found.sort();
}

export async function bytesIn(folder: string): Promise<number> {
  let sum = 0;
  // What went meanwhile takes no room.
  for (const file of await filesIn(folder))
    sum += await fs.stat(path.join(folder, file)).then(
      ({ size }) => size,
      () => 0,
    );
  return sum;
}

/** How many of the newest, of one a week and of one a month are kept. */
const KEPT = { newest: 7, weeks: 4, months: 12 } as const;

/**
 * Which backups go: all but the newest seven, the first of each of the last four weeks and of each of the last twelve
 * months that have one.
 *
 * @param made when each was made, ISO 8601
 */
export function superfluous(made: readonly string[]): string[] {
  const newestFirst = [...made].sort().reverse();
  const firstOf = (key: (at: string) => string, most: number) => {
    const firsts = new Map<string, string>();
    for (const at of [...newestFirst].reverse()) if (!firsts.has(key(at))) firsts.set(key(at), at);
    return [...firsts.values()].sort().reverse().slice(0, most);
  };
  const kept = new Set([
    ...newestFirst.slice(0, KEPT.newest),
    ...firstOf(weekOf, KEPT.weeks),
    ...firstOf((at) => at.slice(0, 7), KEPT.months),
  ]);
  return newestFirst.filter((at) => !kept.has(at));
}

const WEEK_MS = 7 * 24 * 60 * 60 * 1000;
/** Weeks begin on a Monday; 1 January 1970 was a Thursday. */
const MONDAY_MS = 4 * 24 * 60 * 60 * 1000;
const weekOf = (at: string): string => String(Math.floor((Date.parse(at) - MONDAY_MS) / WEEK_MS));
