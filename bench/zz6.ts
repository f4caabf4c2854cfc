import { believe } from '@weskopos/core/wear/wearBelief';
import { normalDraw, seededRandom } from '@weskopos/core/simulator/random';
for (const noise of [0.15, 0.5])
  for (const kind of ['inside', 'past', 'floor'])
    for (const came of [false, true]) {
      const random = seededRandom(5);
      const parts = Array.from({ length: 600 }, () => {
        const r = Math.exp(Math.log(0.2) + 0.25 * normalDraw(random));
        const start = 8 + 0.25 * normalDraw(random);
        const readings = [];
        let x = 0;
        for (;;) {
          x += 4 + 5 * random();
          const t = start - r * x;
          if (kind === 'inside' && t < 1.8) break;
          const y = Math.max(0, kind === 'floor' ? t : t) + noise * normalDraw(random);
          readings.push({
            x,
            y: kind === 'past' ? t + noise * normalDraw(random) : Math.max(0, y),
            u: noise,
            bound: 'exact' as const,
          });
          if (t < 1.6) break;
        }
        return { fitted: came ? null : { x: 0, fresh: 8, sigma: 0.3 }, readings };
      });
      console.log(
        noise,
        kind,
        came,
        [-0.4, -0.2, -0.1, 0, 0.1, 0.2, 0.4]
          .map((power) => {
            const prior = { mu: Math.log(0.2), sigma: 0.25, changes: 0.001, handU: 0, curve: { power, middle: 4 } };
            return `${power}:${parts.reduce((s, p) => s + believe(prior, p.fitted, p.readings).fit, 0).toFixed(1)}`;
          })
          .join(' '),
      );
    }
