import { habitWorld } from '@weskopos/core/simulator/habits/habitWorld';
import { NAMED_WORLDS } from '@weskopos/core/simulator/habits/habits';
import { priorFor } from '@weskopos/core/wear/fleetRates';
import { learnRates } from '@weskopos/core/wear/learnRates';
import { believe, stateOf } from '@weskopos/core/wear/wearBelief';
import { historyOf } from './forecast/worldRun';
for (const name of ['calm', 'any gauge', 'roads that change']) {
  const w = habitWorld({ seed: 1, vehicles: 40, years: 12, habits: NAMED_WORLDS[name]! });
  for (const day of [400, 1800]) {
    const hs = w.flatMap((v) =>
      v.parts.flatMap((p) =>
        (p.kind === 'tread' ? (['outer', 'centre', 'inner'] as const) : (['whole'] as const)).flatMap(
          (s) => historyOf(v, p, s, day) ?? [],
        ),
      ),
    );
    const t = performance.now();
    const rates = learnRates(hs);
    console.log(
      name,
      day,
      (performance.now() - t).toFixed(0),
      'ms',
      hs.length,
      Object.fromEntries(
        Object.entries(rates).map(([k, r]) => [
          k,
          {
            parts: r.parts,
            base: Math.exp(r.base),
            within: r.within,
            between: r.between,
            changes: r.changes,
            handU: r.handU,
            ax: r.axles,
          },
        ]),
      ),
    );
    const h = hs.find((x) => x.kind === 'tread' && x.fitted && x.readings.length >= 5)!;
    if (h) {
      const b = believe(priorFor(rates, h), h.fitted, h.readings);
      console.log(
        stateOf(b),
        priorFor(rates, h),
        h.readings.map((r) => `${r.x.toFixed(1)}:${r.y}`).join(' '),
        h.fitted,
      );
    }
  }
}
