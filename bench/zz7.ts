import { habitWorld } from '@weskopos/core/simulator/habits/habitWorld';
import { NAMED_WORLDS } from '@weskopos/core/simulator/habits/habits';
import { learnRates } from '@weskopos/core/wear/learnRates';
import { historyOf } from './forecast/worldRun';
const w = habitWorld({ seed: 1, vehicles: 40, years: 12, habits: NAMED_WORLDS['rotated']! });
for (const day of [400, 1000, 1800]) {
  const hs = w.flatMap((x) =>
    x.parts.flatMap((p) =>
      (p.kind === 'tread' ? (['outer', 'centre', 'inner'] as const) : (['whole'] as const)).flatMap(
        (s) => historyOf(x, p, s, day) ?? [],
      ),
    ),
  );
  const rates = learnRates(hs);
  console.log(
    day,
    Object.entries(rates)
      .map(([k, r]) =>
        [
          k,
          JSON.stringify(r.axles),
          'curve',
          r.curve.power.toFixed(2),
          r.handU,
          r.changes,
          r.within.toFixed(4),
          'between',
          r.between.toFixed(3),
          'moved',
          r.movedEvery,
          Object.entries(r.cells)
            .map(([a, b]) => `${a} ${b.mean.toFixed(2)}`)
            .join(', '),
        ].join(' '),
      )
      .join('\n'),
  );
  const t = hs.filter((h) => h.kind === 'tread' && h.fitted && h.readings.length > 3).slice(-2);
  for (const h of t)
    console.log(
      h.axle,
      h.fitted!.x.toFixed(1),
      h.readings.map((r) => `${r.x.toFixed(1)}:${r.y}`).join(' '),
      JSON.stringify(h.before),
    );
}
