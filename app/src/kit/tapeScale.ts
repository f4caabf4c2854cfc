import type { Measure } from '@weskopos/core';

/** Where a value lies on a vertical tape of `height` px with `margin` px at both ends; clamped to the tape. */
export function toY(measure: Measure, height: number, margin: number, value: number): number {
  const [low, high] = measure.tape;
  const clamped = Math.min(high, Math.max(low, value));
  return margin + (1 - (clamped - low) / (high - low)) * (height - 2 * margin);
}

/** The value under a finger, rounded to the gauge's step and kept on the tape. */
export function fromY(measure: Measure, height: number, margin: number, y: number): number {
  const [low, high] = measure.tape;
  const share = 1 - (y - margin) / (height - 2 * margin);
  return stepped(measure, low + Math.min(1, Math.max(0, share)) * (high - low));
}

/** Rounded to the gauge's step, within what is possible, free of binary noise. */
export function stepped(measure: Measure, value: number): number {
  const rounded = Math.round(value / measure.step) * measure.step;
  return Number(Math.min(measure.most, Math.max(measure.least, rounded)).toFixed(6));
}

/** The value a key moves to; undefined for keys the tape does not take. */
export function keyMoves(measure: Measure, value: number, key: string): number | undefined {
  const steps: Record<string, number> = {
    ArrowUp: 1,
    ArrowRight: 1,
    ArrowDown: -1,
    ArrowLeft: -1,
    PageUp: 10,
    PageDown: -10,
  };
  if (key === 'Home') return measure.tape[0];
  if (key === 'End') return measure.tape[1];
  const move = steps[key];
  return move === undefined ? undefined : stepped(measure, value + move * measure.step);
}
