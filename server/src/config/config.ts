import path from 'node:path';

/** How a server is started. */
export interface Config {
  readonly port: number;
  /** Holds the database, the journal and the photos of one workshop. */
  readonly dataFolder: string;
  /** Where backups go: best another disk than the data's. */
  readonly backupFolder: string;
  /** The built web app; null serves the API alone. */
  readonly appFolder: string | null;
  /** Failed sign-ins or set-ups per quarter of an hour and address before the door closes. */
  readonly signInTries: number;
  readonly logLevel: string;
}

/** Port outside this range is refused, 0 asks the system for a free one. */
const PORT_RANGE = { least: 0, most: 65535 } as const;
const DEFAULT_PORT = 4310;

/** Reads the environment; nothing else does. Throws with the variable's name on a value that cannot be. */
export function readConfig(env: Readonly<Record<string, string | undefined>>, root: string): Config {
  const port = env.PORT === undefined || env.PORT === '' ? DEFAULT_PORT : Number(env.PORT);
  if (!Number.isInteger(port) || port < PORT_RANGE.least || port > PORT_RANGE.most) {
    throw new RangeError(
      `PORT must be a whole number from ${PORT_RANGE.least} to ${PORT_RANGE.most}, got "${env.PORT}"`,
    );
  }
  if (env.DATABASE_URL) {
    throw new Error('DATABASE_URL is set, but this version keeps its data in the embedded database only; unset it');
  }
  const dataFolder = path.resolve(env.WESKOPOS_DATA || path.join(root, 'weskopos-data'));
  return {
    port,
    dataFolder,
    backupFolder: path.resolve(env.WESKOPOS_BACKUPS || `${dataFolder}-backups`),
    appFolder: path.join(root, 'app', 'dist'),
    signInTries: 20,
    logLevel: env.LOG_LEVEL || 'warn',
  };
}
