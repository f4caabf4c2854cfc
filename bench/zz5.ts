import { habitWorld } from '@weskopos/core/simulator/habits/habitWorld';
import { NAMED_WORLDS } from '@weskopos/core/simulator/habits/habits';
import { learnRates } from '@weskopos/core/wear/learnRates';
import { historyOf } from './forecast/worldRun';
const any = NAMED_WORLDS['any gauge']!;
const base = { ...any, misread: 0, swapped: 0, routes: 0 };
const worlds = {
  c1: { ...base, tread: [{ step: 1, sigma: 0.35, off: 0.3 }] },
  c1n: { ...base, tread: [{ step: 1, sigma: 0.35, off: 0 }] },
  c5: { ...base, tread: [{ step: 0.1, sigma: 0.5, off: 0 }] },
  c1x: { ...base, tread: [{ step: 1, sigma: 0.01, off: 0 }] },
};
for (const [name, h] of Object.entries(worlds)) {
  const w = habitWorld({ seed: 1, vehicles: 40, years: 12, habits: h });
  for (const cut of [-1, 1.2])
    for (const spots of [['outer', 'centre', 'inner'], ['centre']] as const) {
      const hs = w.flatMap((x) =>
        x.parts
          .filter((p) => p.kind === 'tread')
          .flatMap((p) => {
            const q = { ...p, looks: p.looks.filter((l) => l.readings.every((r) => r.truth > cut)) };
            return spots.flatMap((s) => (q.looks.some((l) => l.day <= 1800) ? (historyOf(x, q, s, 1800) ?? []) : []));
          }),
      );
      const rates = learnRates(hs);
      console.log(
        name,
        cut,
        spots.length,
        Object.entries(rates)
          .map(([k, r]) => [k, r.curve.power.toFixed(2), r.handU, r.changes, r.within.toFixed(4)].join(' '))
          .join(' | '),
      );
    }
}
