import path from 'node:path';
import { readConfig } from './config/config';
import { openContext } from './context';
import { seedDemo } from './demo/seedDemo';
import { DEMO_PEOPLE } from './demo/world';
import { listen } from './listen';

const ROOT = path.resolve(__dirname, '..', '..');

/** How often it is looked whether a copy of the database is due. */
const CHECKPOINT_EVERY_MS = 60 * 60 * 1000;

async function main(): Promise<void> {
  // What is written holds hashes of secrets and the workshop's photos: for this user alone.
  process.umask(0o077);
  const demo = process.argv.includes('--demo');
  const context = await openContext(readConfig(process.env, ROOT), () => new Date());
  const { replayed, failed } = context.opened.replay;
  for (const note of context.opened.notes) console.log(note);
  if (replayed > 0) console.log(`Brought back ${replayed} changes from the journal.`);
  for (const { id, why } of failed)
    console.error(`The change ${id} in the journal could not take effect again (${why}).`);
  if (demo) await seedDemo(context);
  const running = await listen(context);
  void context.fleet.keepLearning((error) => context.log.error(error, 'the fleet was not summed up'));
  const checkpoint = () =>
    void context.checkpoint().catch((error: unknown) => context.log.error(error, 'the database was not copied'));
  checkpoint();
  setInterval(checkpoint, CHECKPOINT_EVERY_MS);
  let stopping = false;
  for (const signal of ['SIGTERM', 'SIGINT'] as const) {
    process.on(signal, () => {
      if (stopping) return;
      stopping = true;
      running.stop().then(
        () => process.exit(0),
        (error: unknown) => {
          console.error(error);
          process.exit(1);
        },
      );
    });
  }
  console.log(`Weskopos is ready at http://localhost:${running.port}`);
  if (demo)
    for (const { name, secret, role } of DEMO_PEOPLE) console.log(`  sign in as ${name} (${role}), PIN ${secret}`);
  else if (context.setupCode) console.log(`  This workshop is empty. Set it up with the code ${context.setupCode}`);
}

main().catch((error: unknown) => {
  console.error(error instanceof Error ? error.message : error);
  process.exit(1);
});
