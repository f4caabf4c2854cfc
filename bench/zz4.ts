import { habitWorld } from '@weskopos/core/simulator/habits/habitWorld';
import { NAMED_WORLDS } from '@weskopos/core/simulator/habits/habits';
const any = NAMED_WORLDS['any gauge']!;
const w = habitWorld({
  seed: 1,
  vehicles: 40,
  years: 12,
  habits: { ...any, misread: 0, swapped: 0, routes: 0, tread: [any.tread[2]!], pad: [any.pad[2]!] },
});
for (const kind of ['tread', 'pad']) {
  const bins = new Map<number, number[]>();
  for (const v of w)
    for (const p of v.parts)
      if (p.kind === kind)
        for (const l of p.looks)
          for (const r of l.readings) {
            const b = Math.round(r.truth * 2) / 2;
            bins.set(b, [...(bins.get(b) ?? []), r.value - r.truth]);
          }
  console.log(
    kind,
    [...bins]
      .sort((a, b) => a[0] - b[0])
      .map(([b, l]) => `${b}:${(l.reduce((s, x) => s + x, 0) / l.length).toFixed(2)}(${l.length})`)
      .join(' '),
  );
}
const p = w
  .flatMap((v) => v.parts)
  .filter((x) => x.kind === 'tread' && x.nominal && x.looks.length > 3)
  .slice(0, 6);
for (const one of p)
  console.log(
    one.fittedKm.toFixed(0),
    one.looks
      .map(
        (l) =>
          `${((l.km - one.fittedKm) / 1000).toFixed(1)}:${l.readings[1]!.value}/${l.readings[1]!.truth.toFixed(2)}`,
      )
      .join(' '),
  );
