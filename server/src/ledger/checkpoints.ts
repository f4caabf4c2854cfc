import fs from 'node:fs/promises';
import path from 'node:path';
import { copyDurably, sync } from '../db/copyDurably';
import type { Engine } from '../db/engine';
import type { Journal } from './journal';
import type { Ledger } from './ledger';
import { positionIn } from './settle';

/** A copy of the database that was opened and answered. */
export interface Checkpoint {
  readonly folder: string;
  /** Number of the last journal line whose effect it holds. */
  readonly position: number;
}

/** Copies kept: should the newest be spoiled, the one before and the journal since bring everything back. */
const KEPT = 2;
/** A new one is worth its disk when this much journal has come since the last, bytes. */
const WORTH_BYTES = 16 * 1024 * 1024;

/** The copies in a data folder, newest first. */
export async function checkpointsIn(folder: string): Promise<Checkpoint[]> {
  const names = await fs.readdir(folder).catch((error: NodeJS.ErrnoException) => {
    if (error.code === 'ENOENT') return [];
    throw error;
  });
  return names
    .flatMap((name) => (/^\d{12}$/.test(name) ? [{ folder: path.join(folder, name), position: Number(name) }] : []))
    .sort((a, b) => b.position - a.position);
}

/** Puts a copy in the database's place; what was there is set aside, never deleted. */
export async function restore({ folder }: Checkpoint, database: string, now: Date): Promise<void> {
  const draft = `${database}.restored`;
  await fs.rm(draft, { recursive: true, force: true });
  await copyDurably(folder, draft);
  const before = (await fs.readdir(path.dirname(database))).filter((name) => name.includes('.set-aside-'));
  const day = now.toISOString().slice(0, 10);
  await fs
    .rename(database, `${database}.set-aside-${day}-${before.length + 1}`)
    .catch((error: NodeJS.ErrnoException) => {
      if (error.code !== 'ENOENT') throw error;
    });
  await fs.rename(draft, database);
  await sync(path.dirname(database));
}

/** What taking copies of the database needs. */
export interface CheckpointPorts {
  readonly folder: string;
  readonly engine: Engine;
  readonly journal: Journal;
  readonly ledger: Ledger;
  /** Opens a copied database to see that it answers. */
  readonly open: (folder: string) => Promise<Engine>;
}

/** Takes a copy when enough has come since the last. @returns its position; null when it was not worth one */
export async function checkpointIfWorth(ports: CheckpointPorts, worthBytes = WORTH_BYTES): Promise<number | null> {
  const [newest] = await checkpointsIn(ports.folder);
  const since = await ports.journal.bytesAfter(newest?.position ?? 0);
  return since < worthBytes ? null : takeCheckpoint(ports);
}

/**
 * Copies the database while it stands still, opens the copy and asks it, and only then begins a new segment and lets go
 * of the journal that no kept copy needs.
 *
 * @param alone lets go of all older copies and of every line this one holds: what was taken out is in none of them then
 */
export async function takeCheckpoint(ports: CheckpointPorts, alone = false): Promise<number> {
  const { folder, journal } = ports;
  await fs.mkdir(folder, { recursive: true, mode: 0o700 });
  const draft = path.join(folder, 'draft');
  await fs.rm(draft, { recursive: true, force: true });
  const position = await copyWhole(ports, draft, () => journal.rotate());
  const name = path.join(folder, String(position).padStart(12, '0'));
  await fs.rm(name, { recursive: true, force: true });
  await fs.rename(draft, name);
  await sync(folder);
  const copies = await checkpointsIn(folder);
  const kept = alone ? 1 : KEPT;
  for (const { folder: old } of copies.slice(kept)) await fs.rm(old, { recursive: true, force: true });
  const oldest = copies.slice(0, kept).at(-1);
  // With one copy only the journal is kept whole: a first copy has none before it to fall back on.
  if (copies.length >= kept && oldest) await journal.forget(oldest.position + 1);
  return position;
}

/**
 * Copies the database while it stands still, opens the copy and asks it: on disk when it resolves.
 *
 * @param meanwhile done while nobody changes anything
 * @returns the last journal line the copy holds
 */
export async function copyWhole(
  { engine, ledger, open }: Pick<CheckpointPorts, 'engine' | 'ledger' | 'open'>,
  to: string,
  meanwhile: () => Promise<void>,
): Promise<number> {
  const [position, operations] = await ledger.exclusive(async (at) => {
    const count = await operationsIn(engine);
    await engine.copyTo(to);
    await meanwhile();
    return [at, count] as const;
  });
  await verify(open, to, position, operations);
  return position;
}

async function verify(
  open: CheckpointPorts['open'],
  draft: string,
  position: number,
  operations: number,
): Promise<void> {
  const copy = await open(draft);
  try {
    const [at, count] = [await positionIn(copy), await operationsIn(copy)];
    if (at !== position || count !== operations)
      throw new Error(
        `a copy of the database holds ${count} changes up to ${at} instead of ${operations} up to ${position}`,
      );
  } finally {
    await copy.close();
  }
  // Opening wrote into it; it is on disk before anything leans on it.
  await syncAll(draft);
}

async function operationsIn(engine: Engine): Promise<number> {
  const [row] = await engine.query<{ n: number }>('select count(*)::integer as n from operation');
  return row?.n ?? 0;
}

async function syncAll(folder: string): Promise<void> {
  for (const entry of await fs.readdir(folder, { withFileTypes: true })) {
    const file = path.join(folder, entry.name);
    if (entry.isDirectory()) await syncAll(file);
    else if (entry.isFile()) await sync(file);
  }
  await sync(folder);
}
