import { errorCode } from '../errorCode';
import fs from 'node:fs/promises';
import os from 'node:os';
import path from 'node:path';

/** Another process has the folder: two on one folder would corrupt it silently. */
export class FolderInUse extends Error {
  constructor(folder: string, holder: Holder, file: string) {
    super(
      `The data folder ${folder} is in use by process ${holder.pid} on ${holder.host} (since ${holder.since}). ` +
        'Stop that process first, or name another folder in WESKOPOS_DATA.' +
        (holder.host === os.hostname()
          ? ''
          : ` Whether it still runs there cannot be told from here: when it does not, delete ${file} and start again.`),
    );
  }
}

interface Holder {
  readonly pid: number;
  readonly host: string;
  readonly since: string;
  /** Kernel start time of the process, where it can be told: a reused process number is not the holder. */
  readonly started: string | null;
  /** Left behind by a holder that let go. */
  readonly released?: boolean;
}

/** Locks are numbered and the highest one counts; the first program wrote one without a number. */
const LOCK_NAME = /^weskopos\.lock(?:\.(\d+))?$/;
/** Starts at the same moment try again this often before one of them gives up. */
const TRIES = 5;

interface Lock {
  readonly file: string;
  readonly number: number;
}

/**
 * Takes the folder for this process; gives back how to let go. A lock whose process is gone (killed, power loss) is
 * stale. It is never removed to be replaced: the next number is claimed beside it, which only one of several can, so that
 * nobody deletes a lock that somebody else has just taken. Throws {@link FolderInUse} with the other process.
 */
export async function lockFolder(folder: string, now: Date): Promise<() => Promise<void>> {
  await fs.mkdir(folder, { recursive: true, mode: 0o700 });
  await fs.chmod(folder, 0o700);
  const mine: Holder = {
    pid: process.pid,
    host: os.hostname(),
    since: now.toISOString(),
    started: await processStart(process.pid),
  };
  for (let tries = 1; ; tries += 1) {
    const held = await claimNext(folder, mine);
    if (typeof held === 'function') return held;
    if (held || tries >= TRIES) throw new FolderInUse(folder, held?.holder ?? mine, held?.file ?? folder);
  }
}

/** How to let go when the next number was claimed; who holds the folder when somebody does; null when another start came first. */
async function claimNext(
  folder: string,
  mine: Holder,
): Promise<(() => Promise<void>) | { readonly holder: Holder; readonly file: string } | null> {
  const highest = (await locksIn(folder)).at(-1);
  if (highest) {
    const holder = await readHolder(highest.file);
    if (holder && !holder.released && (await isAlive(holder))) return { holder, file: highest.file };
  }
  const number = (highest?.number ?? 0) + 1;
  const file = path.join(folder, `weskopos.lock.${number}`);
  if (!(await writeWhole(file, mine, fs.link))) return null;
  const now = await locksIn(folder);
  if (now.at(-1)?.number !== number) {
    // Whoever read an old list and came late stands below the one that counts.
    await fs.rm(file, { force: true });
    return null;
  }
  for (const old of now.slice(0, -1)) await fs.rm(old.file, { force: true });
  // Said to be free, not removed: numbers only ever rise.
  return async () => void (await writeWhole(file, { ...mine, released: true }, fs.rename));
}

async function locksIn(folder: string): Promise<Lock[]> {
  const names = await fs.readdir(folder);
  return names
    .flatMap((name) => {
      const found = LOCK_NAME.exec(name);
      return found ? [{ file: path.join(folder, name), number: Number(found[1] ?? 0) }] : [];
    })
    .sort((a, b) => a.number - b.number);
}

let drafts = 0;

/** Under a name of its own first: a lock appears whole or not at all. False where a link finds the name taken. */
async function writeWhole(
  file: string,
  holder: Holder,
  appear: (from: string, to: string) => Promise<void>,
): Promise<boolean> {
  const draft = `${file}.draft.${process.pid}.${(drafts += 1)}`;
  await fs.writeFile(draft, JSON.stringify(holder), { mode: 0o600 });
  try {
    await appear(draft, file);
    return true;
  } catch (error) {
    if (errorCode(error) === 'EEXIST') return false;
    throw error;
  } finally {
    await fs.rm(draft, { force: true });
  }
}

async function readHolder(lock: string): Promise<Holder | null> {
  try {
    return JSON.parse(await fs.readFile(lock, 'utf8')) as Holder;
  } catch (error) {
    if (error instanceof SyntaxError || errorCode(error) === 'ENOENT') return null;
    throw error;
  }
}

async function isAlive(holder: Holder): Promise<boolean> {
  // Of a process on another machine (a shared folder) nothing can be told: it counts as alive.
  if (holder.host !== os.hostname()) return true;
  try {
    process.kill(holder.pid, 0);
  } catch (error) {
    if (errorCode(error) === 'ESRCH') return false;
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
