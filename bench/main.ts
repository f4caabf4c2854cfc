import { benchArchive } from './archive';
import { benchArchiveKills } from './archiveKills';
import { benchLargeArchive } from './largeArchive';
import { benchBundle } from './bundle';
import { benchFleet } from './fleet';
import { benchAgeing } from './forecast/ageing';
import { benchBudget } from './forecast/budget';
import { benchChanges, benchWorlds } from './forecast/worlds';
import { benchKills } from './kills';
import { benchLedger } from './ledger';
import { benchPointChange } from './pointChange';
import { benchReport } from './report';
import { benchRoute } from './route';
import { benchSaving } from './saving';
import { benchScreens } from './screens';
import { benchSheet } from './sheet';
import { benchStart } from './start';

/** Every bench by the name it is asked for by, in the order they run. */
const BENCHES: Readonly<Record<string, () => void | Promise<void>>> = {
  'point-change': benchPointChange,
  saving: benchSaving,
  screens: benchScreens,
  ledger: benchLedger,
  kills: benchKills,
  archive: benchArchive,
  'archive-kills': benchArchiveKills,
  'large-archive': benchLargeArchive,
  sheet: benchSheet,
  bundle: benchBundle,
  report: benchReport,
  route: benchRoute,
  forecast: () => benchWorlds(),
  budget: () => benchBudget(),
  ageing: () => benchAgeing(),
  changes: () => benchChanges(),
  fleet: benchFleet,
  start: benchStart,
};

/** Each figure beside its baseline of the same run: the benches named, or all of them. */
async function main(names: readonly string[]): Promise<void> {
  const unknown = names.filter((name) => !BENCHES[name]);
  if (unknown.length > 0)
    throw new Error(`no bench ${unknown.join(', ')}; there are ${Object.keys(BENCHES).join(', ')}`);
  for (const [name, bench] of Object.entries(BENCHES)) if (names.length === 0 || names.includes(name)) await bench();
}

main(process.argv.slice(2)).catch((error: unknown) => {
  console.error(error);
  process.exit(1);
});
