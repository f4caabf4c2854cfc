import { benchBundle } from './bundle';
import { benchFleet } from './fleet';
import { benchAges, benchChanges, benchForecast } from './forecast/forecast';
import { benchKills } from './kills';
import { benchLedger } from './ledger';
import { benchPointChange } from './pointChange';
import { benchRoute } from './route';
import { benchSaving } from './saving';
import { benchStart } from './start';

/** Each figure beside its baseline of the same run. */
async function main(): Promise<void> {
  await benchPointChange();
  await benchSaving();
  await benchLedger();
  await benchKills();
  benchBundle();
  benchRoute();
  benchForecast();
  benchAges();
  benchChanges();
  await benchFleet();
  await benchStart();
}

main().catch((error: unknown) => {
  console.error(error);
  process.exit(1);
});
