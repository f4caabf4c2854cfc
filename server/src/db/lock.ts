import fs from 'node:fs/promises';
import os from 'node:os';
import path from 'node:path';

/** Another process has the folder: two on one folder would corrupt it silently. */
export class FolderInUse extends Error {
  constructor(folder: string, holder: Holder) {
    super(
      `The data folder ${folder} is in use by process ${holder.pid} on ${holder.host} (since ${holder.since}). ` +
        'Stop that process first, or name another folder in WESKOPOS_DATA.',
    );
  }
}

interface Holder {
  readonly pid: number;
  readonly host: string;
  readonly since: string;
  /** Kernel start time of the process, where it can be told: a reused process number is not the holder. */
  readonly started: string | null;
}

const LOCK_NAME = 'weskopos.lock';

/**
 * Takes the folder for this process; gives back how to let go. A lock whose process is gone (killed, power loss) is
 * stale and replaced. Throws {@link FolderInUse} with the other process.
 */
export async function lockFolder(folder: string, now: Date): Promise<() => Promise<void>> {
  await fs.mkdir(folder, { recursive: true });
  const lock = path.join(folder, LOCK_NAME);
  const mine = JSON.stringify({
    pid: process.pid,
    host: os.hostname(),
    since: now.toISOString(),
    started: await processStart(process.pid),
  } satisfies Holder);
  const draft = `${lock}.${process.pid}.${now.getTime()}`;
  await fs.writeFile(draft, mine);
  try {
    if (!(await claim(draft, lock))) {
      const holder = await readHolder(lock);
      if (holder && (await isAlive(holder))) throw new FolderInUse(folder, holder);
      await fs.rm(lock, { force: true });
      if (!(await claim(draft, lock)))
        throw new FolderInUse(
          folder,
          (await readHolder(lock)) ?? { pid: 0, host: 'unknown', since: 'now', started: null },
        );
    }
  } finally {
    await fs.rm(draft, { force: true });
  }
  return () => fs.rm(lock, { force: true });
}

/** A hard link appears whole or not at all, so a half-written lock is never seen. */
async function claim(draft: string, lock: string): Promise<boolean> {
  try {
    await fs.link(draft, lock);
    return true;
  } catch (error) {
    if ((error as NodeJS.ErrnoException).code === 'EEXIST') return false;
    throw error;
  }
}

async function readHolder(lock: string): Promise<Holder | null> {
  try {
    return JSON.parse(await fs.readFile(lock, 'utf8')) as Holder;
  } catch (error) {
    if (error instanceof SyntaxError || (error as NodeJS.ErrnoException).code === 'ENOENT') return null;
    throw error;
  }
}

async function isAlive(holder: Holder): Promise<boolean> {
  // Of a process on another machine (a shared folder) nothing can be told: it counts as alive.
  if (holder.host !== os.hostname()) return true;
  try {
    process.kill(holder.pid, 0);
  } catch (error) {
    if ((error as NodeJS.ErrnoException).code === 'ESRCH') return false;
  }
  const started = await processStart(holder.pid);
  return started === null || holder.started === null || started === holder.started;
}

/** Field 22 of /proc/PID/stat; null where there is no /proc. */
async function processStart(pid: number): Promise<string | null> {
  try {
    const stat = await fs.readFile(`/proc/${pid}/stat`, 'utf8');
    return stat.slice(stat.lastIndexOf(')') + 2).split(' ')[19] ?? null;
  } catch {
    return null;
  }
}
