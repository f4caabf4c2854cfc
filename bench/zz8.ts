import { fleetWorld } from '@weskopos/core/simulator/fleetWorld';
import { learnRates } from '@weskopos/core/wear/learnRates';
import { habitWorld } from '@weskopos/core/simulator/habits/habitWorld';
import { NAMED_WORLDS } from '@weskopos/core/simulator/habits/habits';
import { historyOf as hh } from './forecast/worldRun';
import { historyOf } from './forecast/changes';
const show = (n: string, rates: ReturnType<typeof learnRates>) =>
  console.log(
    n,
    Object.entries(rates)
      .map(([k, r]) =>
        [
          k,
          r.parts,
          'p',
          r.curve.power.toFixed(2),
          'hand',
          r.handU,
          'ch',
          r.changes,
          'w',
          r.within.toFixed(4),
          'b',
          r.between.toFixed(3),
        ].join(' '),
      )
      .join(' | '),
  );
for (const changing of [true, false]) {
  const w = fleetWorld({ seed: 31, vehicles: 40, years: 10, changing });
  show(`fleet ${changing}`, learnRates(w.flatMap((v) => v.parts.flatMap((p) => historyOf(v, p, 1461) ?? []))));
}
for (const name of ['calm', 'roads that change', 'rotated']) {
  const w = habitWorld({ seed: 1, vehicles: 40, years: 12, habits: NAMED_WORLDS[name]! });
  show(
    name,
    learnRates(
      w.flatMap((x) =>
        x.parts.flatMap((p) =>
          (p.kind === 'tread' ? (['outer', 'centre', 'inner'] as const) : (['whole'] as const)).flatMap(
            (s) => hh(x, p, s, 1461) ?? [],
          ),
        ),
      ),
    ),
  );
}
