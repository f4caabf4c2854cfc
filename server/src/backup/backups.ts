import type { Alarm, Storage } from '@weskopos/contract';
import fs from 'node:fs/promises';
import path from 'node:path';
import { setTimeout } from 'node:timers/promises';
import { foldersOf } from '../ledger/openLedger';
import { bytesIn, newestIn, setsIn } from './backupFolder';
import { takeBackup, type BackupSource } from './takeBackup';

const HOUR_MS = 60 * 60 * 1000;
/** A backup is made when the last one is so old. */
const EVERY_MS = 24 * HOUR_MS;
/** A lead is told when the last one is so old. */
const ALARM_MS = 3 * EVERY_MS;
/** Who has just opened the workshop wants to work first. */
const FIRST_MS = 5 * 60 * 1000;
/** How often it is looked whether one is due, or asked for by the command. */
const LOOK_EVERY_MS = 2000;
/** Left by the command where the workshop is open: whoever has it makes the backup. */
export const WANTED = 'wanted';
const PROBLEM = 'problem.json';

/** The backups of a workshop that is open: made by day and when asked, one at a time. */
export class Backups {
  private making: Promise<string> | null = null;
  private readonly ended = new AbortController();

  constructor(private readonly source: BackupSource) {}

  /** Makes one now, or waits for the one that is being made. Rejects with why it could not be. @returns its folder */
  take(): Promise<string> {
    this.making ??= this.takeOne().finally(() => (this.making = null));
    return this.making;
  }

  /** Makes one a day, and when it is asked for from outside. @param onProblem hears why one could not be made */
  async keepMaking(onProblem: (error: unknown) => void): Promise<void> {
    const { signal } = this.ended;
    const { backupFolder, clock } = this.source;
    let tried = clock().getTime() - EVERY_MS + FIRST_MS;
    while (!signal.aborted) {
      const wanted = await isThere(path.join(backupFolder, WANTED));
      const newest = await newestIn(backupFolder);
      const now = clock().getTime();
      const due = now - Math.max(tried, Date.parse(newest ?? '1970-01-01')) >= EVERY_MS;
      if (wanted || due) {
        tried = now;
        await this.take().catch(onProblem);
        await fs.rm(path.join(backupFolder, WANTED), { force: true });
      }
      await setTimeout(LOOK_EVERY_MS, undefined, { ref: false, signal }).catch(() => undefined);
    }
  }

  /** Whether a lead should be told: the last one failed, or is too old. Asked often, so it costs no look at every file. */
  async alarm(): Promise<Alarm> {
    const { backupFolder, engine, clock } = this.source;
    if ((await this.problem()) !== null) return { alarm: 'failed' };
    const [first] = await engine.query<{ at: string | null }>('select min(received_at) as at from operation');
    const since = (await newestIn(backupFolder)) ?? first?.at ?? null;
    return { alarm: since !== null && clock().getTime() - Date.parse(since) > ALARM_MS ? 'old' : null };
  }

  /** What is kept where, and how much room it takes. */
  async told(): Promise<Storage> {
    const { dataFolder, backupFolder, engine } = this.source;
    const { database, journal, checkpoints, imports } = foldersOf(dataFolder);
    const [sets, problem, sizes, photos] = await Promise.all([
      setsIn(backupFolder),
      this.problem(),
      Promise.all([database, journal, checkpoints, imports].map(bytesIn)),
      engine.query<{ bytes: number }>('select coalesce(sum(bytes), 0)::float8 as bytes from photo'),
    ]);
    const [databaseBytes = 0, journalBytes = 0, checkpointBytes = 0, importBytes = 0] = sizes;
    return {
      backups: { folder: backupFolder, sets, problem },
      room: {
        database: databaseBytes,
        journal: journalBytes,
        checkpoints: checkpointBytes,
        photos: photos[0]?.bytes ?? 0,
        imports: importBytes,
      },
    };
  }

  /** Ends with the one that is being made. */
  async close(): Promise<void> {
    this.ended.abort();
    // Why it failed was told to who asked for it.
    await this.making?.catch(() => undefined);
  }

  private async takeOne(): Promise<string> {
    const file = path.join(this.source.backupFolder, PROBLEM);
    try {
      const set = await takeBackup(this.source);
      await fs.rm(file, { force: true });
      this.lastProblem = null;
      return set;
    } catch (error) {
      const told = {
        at: this.source.clock().toISOString(),
        why: error instanceof Error ? error.message : String(error),
      };
      // Kept over a restart, where there is still room for a line.
      this.lastProblem = told;
      await fs.writeFile(file, JSON.stringify(told), { mode: 0o600 }).catch(() => undefined);
      throw error;
    }
  }
  private lastProblem: Storage['backups']['problem'] = null;

  private async problem(): Promise<Storage['backups']['problem']> {
    const text = await fs.readFile(path.join(this.source.backupFolder, PROBLEM), 'utf8').catch(() => null);
    return text === null ? this.lastProblem : (JSON.parse(text) as Storage['backups']['problem']);
  }
}

const isThere = (file: string): Promise<boolean> =>
  fs.stat(file).then(
    () => true,
    () => false,
  );
