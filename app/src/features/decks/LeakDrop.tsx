import type { LeakStage } from '@weskopos/core';
import { Path } from 'react-native-svg';

interface LeakDropProps {
  readonly stage: Exclude<LeakStage, 'dry'>;
  readonly x: number;
  readonly y: number;
  readonly colour: string;
  /** Px of the largest drop's breadth. */
  readonly size?: number;
}

/** How full the drop is, and how many fall: a stain is its outline alone, a run are three. */
const STAGES: Record<LeakDropProps['stage'], { readonly fill: number; readonly falling: number }> = {
  stain: { fill: 0, falling: 0 },
  damp: { fill: 0.35, falling: 0 },
  drop: { fill: 1, falling: 0 },
  drip: { fill: 1, falling: 1 },
  run: { fill: 1, falling: 2 },
};

const drop = (x: number, y: number, size: number) =>
  `M${x} ${y - size * 0.75}C${x + size * 0.18} ${y - size * 0.3} ${x + size / 2} ${y} ${x + size / 2} ${y + size * 0.25}A${size / 2} ${size / 2} 0 1 1 ${x - size / 2} ${y + size * 0.25}C${x - size / 2} ${y} ${x - size * 0.18} ${y - size * 0.3} ${x} ${y - size * 0.75}Z`;

/** A leak as a drop: fuller and more of them the further it has gone. Centred on (x, y). */
export function LeakDrop({ stage, x, y, colour, size = 12 }: LeakDropProps) {
  const { fill, falling } = STAGES[stage];
  return (
    <>
      <Path d={drop(x, y, size)} fill={colour} fillOpacity={fill} stroke={colour} strokeWidth={2} />
      {Array.from({ length: falling }, (_, n) => (
        <Path key={n} d={drop(x + size * (0.85 + n * 0.55), y + size * 0.3, size * (0.55 - n * 0.15))} fill={colour} />
      ))}
    </>
  );
}
