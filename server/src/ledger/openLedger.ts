import path from 'node:path';
import { DatabaseUnavailable, type Engine } from '../db/engine';
import { migrate, readMigrations } from '../db/migrate';
import { openPglite } from '../db/pgliteEngine';
import type { Asks } from './change';
import { checkpointsIn, restore, type Checkpoint } from './checkpoints';
import { Journal } from './journal';
import { UnreadableJournal } from './journalProblems';
import { Ledger } from './ledger';
import type { Replay } from './replay';
import { positionIn, type Writers } from './settle';

/** A ledger with everything it stands on, opened and brought to its end. */
export interface OpenedLedger {
  readonly engine: Engine;
  readonly journal: Journal;
  readonly ledger: Ledger;
  readonly replay: Replay;
  /** What was put right on the way, in words for the log. */
  readonly notes: readonly string[];
}

/** Where a data folder keeps what the ledger needs. */
export const foldersOf = (dataFolder: string) => ({
  database: path.join(dataFolder, 'database'),
  journal: path.join(dataFolder, 'journal'),
  checkpoints: path.join(dataFolder, 'checkpoints'),
  imports: path.join(dataFolder, 'imports'),
  keys: path.join(dataFolder, 'keys'),
});

/**
 * Opens database and journal and brings the one to the other's end. A database that does not open, or is older than the
 * journal reaches back, is replaced by the newest copy; what was there is set aside.
 *
 * @throws UnreadableJournal where something acknowledged would be missing
 */
export async function openLedger(
  dataFolder: string,
  writers: Writers,
  asksWith: (engine: Engine) => Asks,
  now: Date,
): Promise<OpenedLedger> {
  const folders = foldersOf(dataFolder);
  const copies = await checkpointsIn(folders.checkpoints);
  const notes: string[] = [];
  const journal = await Journal.open(folders.journal);
  let engine: Engine | undefined;
  try {
    engine = await openOrRestore(folders.database, copies, now, notes);
    if ((await journal.first()) > (await positionIn(engine)) + 1) {
      await engine.close();
      engine = await openCopy(folders.database, copies, now, notes);
    }
    const held = await positionIn(engine);
    for (const { file, line } of journal.damagesUpTo(held))
      notes.push(`Line ${line} of ${path.basename(file)} in the journal cannot be read; the database holds it.`);
    await journal.continueBehind(held);
    const ledger = new Ledger({ engine, journal, writers, asks: asksWith(engine) });
    return { engine, journal, ledger, replay: await ledger.open(), notes };
  } catch (error) {
    await journal.close();
    await engine?.close();
    throw error;
  }
}

async function openMigrated(database: string): Promise<Engine> {
  const engine = await openPglite(database);
  try {
    await migrate(engine, await readMigrations());
    return engine;
  } catch (error) {
    await engine.close();
    throw error;
  }
}

async function openOrRestore(
  database: string,
  copies: readonly Checkpoint[],
  now: Date,
  notes: string[],
): Promise<Engine> {
  try {
    return await openMigrated(database);
  } catch (error) {
    if (!(error instanceof DatabaseUnavailable) || copies.length === 0) throw error;
    notes.push(`The database did not open (${error.message}).`);
    return openCopy(database, copies, now, notes);
  }
}

async function openCopy(
  database: string,
  [newest]: readonly Checkpoint[],
  now: Date,
  notes: string[],
): Promise<Engine> {
  if (!newest)
    throw new UnreadableJournal(
      'The database is older than the journal reaches back, and there is no copy of it. Restore the newest copy of the whole data folder.',
    );
  await restore(newest, database, now);
  notes.push(
    `The copy of the database up to change ${newest.position} was put in its place; what was there is set aside.`,
  );
  return openMigrated(database);
}
