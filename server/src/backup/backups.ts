import type { Storage } from '@weskopos/contract';
import fs from 'node:fs/promises';
import path from 'node:path';
import { setTimeout } from 'node:timers/promises';
import { foldersOf } from '../ledger/openLedger';
import { bytesIn, setsIn } from './backupFolder';
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
      const [newest] = await setsIn(backupFolder).catch(() => []);
      const now = clock().getTime();
      const due = now - Math.max(tried, Date.parse(newest?.made ?? '1970-01-01')) >= EVERY_MS;
      if (wanted || due) {
        tried = now;
        await this.take().catch(onProblem);
        await fs.rm(path.join(backupFolder, WANTED), { force: true });
      }
      await setTimeout(LOOK_EVERY_MS, undefined, { ref: false, signal }).catch(() => undefined);
    }
  }

  /** What is kept where, and whether a lead should be told of it. */
  async told(): Promise<Storage> {
    const { dataFolder, backupFolder, engine, clock } = this.source;
    const sets = await setsIn(backupFolder);
    const problem = await this.problem();
    const [first] = await engine.query<{ at: string | null }>('select min(received_at) as at from operation');
    const since = sets[0]?.made ?? first?.at ?? null;
    const old = since !== null && clock().getTime() - Date.parse(since) > ALARM_MS;
    const { database, journal, checkpoints, imports } = foldersOf(dataFolder);
    const photos = path.join(dataFolder, 'photos');
    const [databaseBytes, journalBytes, checkpointBytes, photoBytes, importBytes, keptBytes] = await Promise.all(
      [database, journal, checkpoints, photos, imports, path.join(backupFolder, 'photos')].map(bytesIn),
    );
    return {
      backups: { folder: backupFolder, sets, photoBytes: keptBytes ?? 0, problem, alarm: problem !== null || old },
      room: {
        database: databaseBytes ?? 0,
        journal: journalBytes ?? 0,
        checkpoints: checkpointBytes ?? 0,
        photos: photoBytes ?? 0,
        imports: importBytes ?? 0,
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
