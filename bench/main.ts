import { benchBundle } from './bundle';
import { benchPointChange } from './pointChange';
import { benchSaving } from './saving';
import { benchStart } from './start';

/** Each figure beside its baseline of the same run. */
async function main(): Promise<void> {
  await benchPointChange();
  await benchSaving();
  benchBundle();
  await benchStart();
}

main().catch((error: unknown) => {
  console.error(error);
  process.exit(1);
});
