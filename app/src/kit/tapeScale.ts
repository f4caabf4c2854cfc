import { fromStored, toStored, type Measure, type Unit } from '@weskopos/core';
import { ticks as roundTicks } from 'd3-array';

/** A tape's ends and gauge, stored unit. */
export type TapeGauge = Pick<Measure, 'tape' | 'step' | 'least' | 'most'> & {
  /** The stretch of the scale that is drawn larger: where the limits lie. */
  readonly stretch?: readonly [number, number];
};

/** Share of the tape its stretched part takes at least: a gloved finger tells two limits apart. */
const STRETCHED = 0.55;

/** Corners of the scale: values and the shares they lie at, rising. */
function cornersOf({ tape: [low, high], stretch }: TapeGauge): readonly (readonly [number, number])[] {
  const whole = high - low;
  const [from, to] = stretch ?? [low, high];
  const natural = (to - from) / whole;
  if (natural >= STRETCHED || natural <= 0)
    return [
      [low, 0],
      [high, 1],
    ];
  const below = ((1 - STRETCHED) * (from - low)) / (whole - (to - from));
  return [
    [low, 0],
    [from, below],
    [to, below + STRETCHED],
    [high, 1],
  ];
}

/** Where a point lies along a rising broken line. */
function along(corners: readonly (readonly [number, number])[], at: number, from: 0 | 1): number {
  const to = from === 0 ? 1 : 0;
  for (const [index, corner] of corners.entries()) {
    const next = corners[index + 1];
    if (!next || at > next[from]) continue;
    const width = next[from] - corner[from];
    return width === 0 ? corner[to] : corner[to] + ((at - corner[from]) / width) * (next[to] - corner[to]);
  }
  return corners.at(-1)?.[to] ?? 0;
}

/** Share of the tape's length at which a value lies, from its low end; clamped to the tape. */
export function toShare(gauge: TapeGauge, value: number): number {
  const [low, high] = gauge.tape;
  return along(cornersOf(gauge), Math.min(high, Math.max(low, value)), 0);
}

/** The value at a share of the tape's length, rounded to the gauge's step and kept on the tape. */
export function fromShare(gauge: TapeGauge, share: number): number {
  return stepped(gauge, along(cornersOf(gauge), Math.min(1, Math.max(0, share)), 1));
}

/** Rounded to the gauge's step, within what is possible, free of binary noise. */
export function stepped(gauge: TapeGauge, value: number): number {
  const rounded = Math.round(value / gauge.step) * gauge.step;
  return Number(Math.min(gauge.most, Math.max(gauge.least, rounded)).toFixed(6));
}

/** Round figures of the unit that is shown, at their stored values; as far apart along a stretched tape as along another. */
export function tapeTicks(gauge: TapeGauge, unit: Unit, count: number): number[] {
  const [low, high] = gauge.tape;
  const round = (from: number, to: number, n: number) =>
    roundTicks(fromStored(from, unit), fromStored(to, unit), n).map((shown) =>
      Number(toStored(shown, unit).toFixed(6)),
    );
  if (!gauge.stretch) return round(low, high, count);
  const [from, to] = gauge.stretch;
  const inside = round(from, to, Math.max(2, Math.round(count * STRETCHED)));
  const apart = 0.8 / count;
  const kept: number[] = [];
  for (const tick of [...inside, low, high, ...round(low, high, count)])
    if (kept.every((other) => Math.abs(toShare(gauge, other) - toShare(gauge, tick)) >= apart)) kept.push(tick);
  return kept.sort((a, b) => a - b);
}

/** The same tape with its limits drawn apart: their stretch, and a third of it to either side, takes half the length. */
export function stretchedTape<G extends TapeGauge>(gauge: G, limits: readonly number[]): G {
  const [low, high] = gauge.tape;
  const [least, most] = [Math.min(...limits), Math.max(...limits)];
  if (limits.length < 2 || most <= least) return gauge;
  const aside = (most - least) / 3;
  const stretch: [number, number] = [Math.max(low, least - aside), Math.min(high, most + aside)];
  return stretch[0] < stretch[1] ? { ...gauge, stretch } : gauge;
}

/** The value a key moves to; undefined for keys the tape does not take. */
export function keyMoves(gauge: TapeGauge, value: number, key: string): number | undefined {
  const steps: Record<string, number> = {
    ArrowUp: 1,
    ArrowRight: 1,
    ArrowDown: -1,
    ArrowLeft: -1,
    PageUp: 10,
    PageDown: -10,
  };
  if (key === 'Home') return gauge.tape[0];
  if (key === 'End') return gauge.tape[1];
  const move = steps[key];
  return move === undefined ? undefined : stepped(gauge, value + move * gauge.step);
}

/** A tape that shows what matters: the measure's own, widened to hold its limits and what was read. */
export function fittedTape(measure: Measure, holds: readonly (number | null)[]): TapeGauge {
  const told = holds.filter((value): value is number => value !== null);
  if (told.length === 0) return measure;
  const [low, high] = measure.tape;
  const span = Math.max(...told) - Math.min(...told);
  const around = [Math.min(...told) - span * 0.35, Math.max(...told) + span * 0.35] as const;
  // State measures crowd around their limits: a tape from nothing would press the limits together.
  const tape: [number, number] =
    measure.nature === 'state' && span > 0
      ? [Math.max(measure.least, around[0]), Math.min(measure.most, around[1])]
      : [Math.min(low, ...told), Math.max(high, ...told)];
  return { ...measure, tape };
}
