import path from 'node:path';
import { readConfig } from './config/config';
import { openContext } from './context';
import { seedDemo } from './demo/seedDemo';
import { DEMO_PEOPLE } from './demo/world';
import { listen } from './listen';

const ROOT = path.resolve(__dirname, '..', '..');

async function main(): Promise<void> {
  const demo = process.argv.includes('--demo');
  const context = await openContext(readConfig(process.env, ROOT), () => new Date());
  const { replayed, failed } = context.replay;
  if (replayed > 0) console.log(`Brought back ${replayed} changes from the journal.`);
  for (const { id, why } of failed)
    console.error(`The change ${id} in the journal cannot be applied (${why}). It was never acknowledged.`);
  if (demo) await seedDemo(context);
  const running = await listen(context);
  void context.fleet.keepLearning((error) => context.log.error(error, 'the fleet was not summed up'));
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
