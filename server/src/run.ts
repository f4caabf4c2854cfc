import path from 'node:path';
import { readConfig } from './config/config';
import { openContext, type Context } from './context';
import { listen } from './listen';

const ROOT = path.resolve(__dirname, '..', '..');
/** How often it is looked whether a copy of the database is due. */
const CHECKPOINT_EVERY_MS = 60 * 60 * 1000;

/** What a start may do besides serving. */
export interface RunOptions {
  /** Done before anybody is let in. @returns lines to print once the server is ready */
  readonly prepare?: (context: Context) => Promise<readonly string[]>;
}

/** Serves one workshop from the environment's settings until it is told to stop. */
export async function run({ prepare }: RunOptions = {}): Promise<void> {
  // What is written holds hashes of secrets and the workshop's photos: for this user alone.
  process.umask(0o077);
  const context = await openContext(readConfig(process.env, ROOT), () => new Date());
  const { replayed, failed } = context.opened.replay;
  for (const note of context.opened.notes) console.log(note);
  if (replayed > 0) console.log(`Brought back ${replayed} changes from the journal.`);
  for (const { id, why } of failed)
    console.error(`The change ${id} in the journal could not take effect again (${why}).`);
  const lines = (await prepare?.(context)) ?? setupLines(context);
  const running = await listen(context);
  void context.fleet.keepLearning((error) => context.log.error(error, 'the fleet was not summed up'));
  const checkpoint = () =>
    void context.checkpoint().catch((error: unknown) => context.log.error(error, 'the database was not copied'));
  checkpoint();
  void context.backups.keepMaking((error) => context.log.error(error, 'no backup could be made'));
  setInterval(checkpoint, CHECKPOINT_EVERY_MS);
  stopOnSignals(() => running.stop());
  console.log([`Weskopos is ready at http://localhost:${running.port}`, ...lines].join('\n  '));
}

const setupLines = ({ setupCode }: Context) =>
  setupCode ? [`This workshop is empty. Set it up with the code ${setupCode}`] : [];

function stopOnSignals(stop: () => Promise<void>): void {
  let stopping = false;
  for (const signal of ['SIGTERM', 'SIGINT'] as const)
    process.on(signal, () => {
      if (stopping) return;
      stopping = true;
      stop().then(() => process.exit(0), failed);
    });
}

/** Says what went wrong and ends. */
export function failed(error: unknown): void {
  console.error(error instanceof Error ? error.message : error);
  process.exit(1);
}
