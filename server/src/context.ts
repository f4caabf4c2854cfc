import { BUILT_IN_FLEET } from '@weskopos/core';
import path from 'node:path';
import pLimit from 'p-limit';
import { pino, type Logger } from 'pino';
import type { Config } from './config/config';
import { DatabaseError, DatabaseUnavailable, type Engine } from './db/engine';
import { lockFolder } from './db/lock';
import { openPglite } from './db/pgliteEngine';
import { FleetBook } from './fleet/fleetBook';
import { freezeSigned } from './inspections/freezeSigned';
import type { Asks } from './ledger/change';
import { checkpointIfWorth, takeCheckpoint, type CheckpointPorts } from './ledger/checkpoints';
import type { Ledger } from './ledger/ledger';
import { foldersOf, openLedger, type OpenedLedger } from './ledger/openLedger';
import { Backups } from './backup/backups';
import { Imports } from './bundle/imports';
import { Sheets } from './sheets/sheets';
import { Calendars } from './calendars/calendars';
import { Links } from './links/links';
import { Pdfs } from './reports/pdfs';
import { LiveHub } from './live/liveHub';
import { Audit } from './audit/audit';
import { Sessions } from './people/sessions';
import { Tokens } from './people/tokens';
import { newCode } from './people/onceCode';
import { PhotoFiles } from './photos/photoFiles';
import { openWorkshopKey } from './signing/workshopKey';
import { writersWith } from './writers';

/** Everything a request works with, built once. */
export interface Context {
  readonly config: Config;
  readonly engine: Engine;
  readonly ledger: Ledger;
  readonly sessions: Sessions;
  readonly tokens: Tokens;
  readonly audit: Audit;
  readonly links: Links;
  readonly calendars: Calendars;
  readonly pdfs: Pdfs;
  readonly photos: PhotoFiles;
  readonly imports: Imports;
  readonly sheets: Sheets;
  readonly backups: Backups;
  readonly live: LiveHub;
  readonly fleet: FleetBook;
  readonly clock: () => Date;
  readonly log: Logger;
  /** Lets the first lead in; null once there are people. */
  readonly setupCode: string | null;
  /** What opening the ledger found and put right. */
  readonly opened: Pick<OpenedLedger, 'replay' | 'notes'>;
  /** Copies the database when enough has come since the last copy. */
  checkpoint(worthBytes?: number): Promise<number | null>;
  /** Copies the database, and lets go of every older copy and of all lines of the journal the copy holds. */
  forgetBefore(): Promise<void>;
  /** Stops in order: fleet, journal, database, lock. */
  close(): Promise<void>;
}

/** Opens a workshop's data folder. Throws when another process has it, or something acknowledged would be missing. */
export async function openContext(config: Config, clock: () => Date): Promise<Context> {
  const log = pino({ level: config.logLevel });
  const unlock = await lockFolder(config.dataFolder, clock());
  const stops: (() => Promise<void>)[] = [unlock];
  const close = async () => {
    for (const stop of stops.splice(0).reverse()) await stop();
  };
  try {
    const key = await openWorkshopKey(foldersOf(config.dataFolder).keys);
    let fleet: FleetBook | undefined;
    const asks: Asks = {
      asTold: false,
      key,
      knowledge: () => fleet?.knowledge ?? BUILT_IN_FLEET,
      forecastsAt: async (tx, vehicleId, inspectionId, signedAt) => {
        try {
          return (await fleet?.forecastsAt(tx, vehicleId, inspectionId, signedAt)) ?? [];
        } catch (error) {
          if (error instanceof DatabaseError || error instanceof DatabaseUnavailable) throw error;
          // A visit is signed whatever its forecasts do; none of them go on record then.
          log.error(error, 'a signed visit was not forecast');
          return [];
        }
      },
    };
    const { engine, journal, ledger, replay, notes } = await openLedger(
      config.dataFolder,
      writersWith(foldersOf(config.dataFolder).imports),
      (on) => {
        fleet = new FleetBook(on, clock);
        return asks;
      },
      clock(),
    );
    stops.push(() => engine.close());
    stops.push(() => journal.close());
    if (!fleet) throw new Error('the ledger was opened without its fleet');
    const book: FleetBook = fleet;
    await book.open();
    await freezeSigned(engine, book.knowledge);
    stops.push(() => ledger.idle());
    stops.push(() => book.close());
    const photos = new PhotoFiles(path.join(config.dataFolder, 'photos'));
    const { imports: folder, keys } = foldersOf(config.dataFolder);
    const changed = (vehicleId: string) => book.vehicleChanged(vehicleId);
    const live = new LiveHub();
    const imports = new Imports({ engine, ledger, photos, clock, folder, changed });
    await imports.open();
    const { dataFolder, backupFolder } = config;
    const backups = new Backups({ engine, ledger, open: openPglite, photos, clock, dataFolder, backupFolder });
    stops.push(() => backups.close());
    const { checkpoints } = foldersOf(dataFolder);
    // Copies are made in one place.
    const oneByOne = pLimit(1);
    const copies: CheckpointPorts = { folder: checkpoints, engine, journal, ledger, open: openPglite };
    const [anyone] = await engine.query('select 1 from person limit 1');
    return {
      config,
      engine,
      ledger,
      sessions: new Sessions(engine, clock),
      tokens: new Tokens({ engine, ledger, clock }),
      audit: new Audit({ ledger, clock }),
      calendars: new Calendars({ engine, ledger, clock }),
      pdfs: new Pdfs({ engine, fleet: book, photos, clock }),
      links: new Links({
        engine,
        ledger,
        clock,
        changed: (vehicleId) => {
          changed(vehicleId);
          live.worksChanged(vehicleId, { device: 'keeper' });
        },
      }),
      photos,
      imports,
      sheets: new Sheets({ engine, ledger, clock, folder, keys, changed }),
      backups,
      live,
      fleet: book,
      clock,
      log,
      setupCode: anyone ? null : newCode(),
      opened: { replay, notes },
      checkpoint: (worthBytes) => oneByOne(() => checkpointIfWorth(copies, worthBytes)),
      forgetBefore: () => oneByOne(async () => void (await takeCheckpoint(copies, true))),
      close,
    };
  } catch (error) {
    await close();
    throw error;
  }
}
