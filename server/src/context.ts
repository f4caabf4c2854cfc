import path from 'node:path';
import { pino, type Logger } from 'pino';
import type { Config } from './config/config';
import type { Engine } from './db/engine';
import { lockFolder } from './db/lock';
import { migrate, readMigrations } from './db/migrate';
import { openPglite } from './db/pgliteEngine';
import { FleetBook } from './fleet/fleetBook';
import { Journal } from './journal/journal';
import { replayJournal, type Replay } from './operations/acceptChanges';
import type { Change } from './operations/change';
import { Sessions } from './people/sessions';
import { LiveHub } from './live/liveHub';
import { newSetupCode } from './people/setupCode';
import { PhotoFiles } from './photos/photoFiles';

/** Everything a request works with, built once. */
export interface Context {
  readonly config: Config;
  readonly engine: Engine;
  readonly journal: Journal;
  readonly sessions: Sessions;
  readonly photos: PhotoFiles;
  readonly live: LiveHub;
  readonly fleet: FleetBook;
  readonly clock: () => Date;
  readonly log: Logger;
  /** Lets the first lead in; null once there are people. */
  readonly setupCode: string | null;
  /** Changes the journal held and the database did not. */
  readonly replay: Replay;
  /** Stops in order: journal, database, lock. */
  close(): Promise<void>;
}

/** Opens a workshop's data folder. Throws when another process has it. */
export async function openContext(config: Config, clock: () => Date): Promise<Context> {
  const log = pino({ level: config.logLevel });
  const unlock = await lockFolder(config.dataFolder, clock());
  const opened: (() => Promise<void>)[] = [unlock];
  const close = async () => {
    for (const stop of opened.splice(0).reverse()) await stop();
  };
  try {
    const engine = await openPglite(path.join(config.dataFolder, 'database'));
    opened.push(() => engine.close());
    await migrate(engine, await readMigrations());
    const { journal, entries } = await Journal.open<Change>(path.join(config.dataFolder, 'journal'));
    opened.push(() => journal.close());
    const replay = await replayJournal(engine, entries);
    const fleet = new FleetBook(engine, clock);
    opened.push(() => fleet.close());
    await fleet.open();
    const [anyone] = await engine.query('select 1 from person limit 1');
    return {
      config,
      engine,
      journal,
      sessions: new Sessions(engine, clock),
      photos: new PhotoFiles(path.join(config.dataFolder, 'photos')),
      live: new LiveHub(),
      fleet,
      clock,
      log,
      setupCode: anyone ? null : newSetupCode(),
      replay,
      close,
    };
  } catch (error) {
    await close();
    throw error;
  }
}
