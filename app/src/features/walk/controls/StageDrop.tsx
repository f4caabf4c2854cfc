import type { LeakStage } from '@weskopos/core';
import Svg, { Path } from 'react-native-svg';
import { usePalette } from '../../../kit/theme';
import { leakDrop } from '@weskopos/core/decks/marks';

/** A stage of a leak as its drop, small; dry is the clean line. */
export function StageDrop({ stage, chosen }: { readonly stage: LeakStage; readonly chosen: boolean }) {
  const palette = usePalette();
  const colour = chosen ? palette.onFill : palette.ink;
  return (
    <Svg width={40} height={30} aria-hidden>
      {stage === 'dry' ? (
        <Path d="M8 20H32" stroke={colour} strokeWidth={2.5} />
      ) : (
        leakDrop(stage, { x: stage === 'run' || stage === 'drip' ? 14 : 20, y: 15 }, 'ink', 16).map(
          ({ d, fillOpacity = 1, width }) => (
            <Path key={d} d={d} fill={colour} fillOpacity={fillOpacity} stroke={colour} strokeWidth={width} />
          ),
        )
      )}
    </Svg>
  );
}
