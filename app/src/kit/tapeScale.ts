import { fromStored, toStored, type Measure, type Unit } from '@weskopos/core';
import { ticks as roundTicks } from 'd3-array';

/** A tape's ends and gauge, stored unit. */
export type TapeGauge = Pick<Measure, 'tape' | 'step' | 'least' | 'most'>;

/** Share of the tape's length at which a value lies, from its low end; clamped to the tape. */
export function toShare({ tape: [low, high] }: TapeGauge, value: number): number {
  return (Math.min(high, Math.max(low, value)) - low) / (high - low);
}

/** The value at a share of the tape's length, rounded to the gauge's step and kept on the tape. */
export function fromShare(gauge: TapeGauge, share: number): number {
  const [low, high] = gauge.tape;
  return stepped(gauge, low + Math.min(1, Math.max(0, share)) * (high - low));
}

/** Rounded to the gauge's step, within what is possible, free of binary noise. */
export function stepped(gauge: TapeGauge, value: number): number {
  const rounded = Math.round(value / gauge.step) * gauge.step;
  return Number(Math.min(gauge.most, Math.max(gauge.least, rounded)).toFixed(6));
}

/** Round figures of the unit that is shown, at their stored values. */
export function tapeTicks({ tape: [low, high] }: TapeGauge, unit: Unit, count: number): number[] {
  return roundTicks(fromStored(low, unit), fromStored(high, unit), count).map((shown) =>
    Number(toStored(shown, unit).toFixed(6)),
  );
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
