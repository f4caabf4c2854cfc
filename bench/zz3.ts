import { habitWorld } from '@weskopos/core/simulator/habits/habitWorld';
import { NAMED_WORLDS, type Habits } from '@weskopos/core/simulator/habits/habits';
import { learnRates } from '@weskopos/core/wear/learnRates';
import { historyOf } from './forecast/worldRun';
const any = NAMED_WORLDS['any gauge']!;
const variants: Record<string, Partial<Habits>> = {
  same: {},
  nomis: { misread: 0 },
  noswap: { swapped: 0 },
  noroutes: { routes: 0 },
  notmissed: { missed: 0 },
  nooff: { tread: any.tread.map((g) => ({ ...g, off: 0 })), pad: any.pad.map((g) => ({ ...g, off: 0 })) },
  fine: { tread: [any.tread[0]!], pad: [any.pad[0]!] },
  coarse: { tread: [any.tread[2]!], pad: [any.pad[2]!] },
};
for (const [name, v] of Object.entries(variants)) {
  const w = habitWorld({ seed: 1, vehicles: 40, years: 12, habits: { ...any, ...v } });
  const hs = w.flatMap((x) =>
    x.parts.flatMap((p) =>
      (p.kind === 'tread' ? (['outer', 'centre', 'inner'] as const) : (['whole'] as const)).flatMap(
        (s) => historyOf(x, p, s, 1800) ?? [],
      ),
    ),
  );
  const rates = learnRates(hs);
  console.log(
    name,
    Object.entries(rates)
      .map(([k, r]) => [k, r.curve.power.toFixed(2), r.handU, r.changes, r.within.toFixed(4)].join(' '))
      .join(' | '),
  );
}
