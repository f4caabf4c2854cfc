import Svg, { Path } from 'react-native-svg';
import { usePalette } from '../../kit/theme';
import type { Palette } from '../../kit/tokens';
import { FRAME, type Drawing, type Tone } from './drawing';

interface HelpDrawingProps {
  readonly drawing: Drawing;
  /** Px. */
  readonly width?: number;
}

const toneOf = (palette: Palette): Record<Tone, string> => ({
  ink: palette.ink,
  soft: palette.soft,
  part: palette.rule,
  bad: palette.fail,
  blue: palette.forecast,
  ground: palette.card,
});

/** What a word looks like. Its word always stands beside. */
export function HelpDrawing({ drawing, width = FRAME.width }: HelpDrawingProps) {
  const tones = toneOf(usePalette());
  return (
    <Svg
      width={width}
      height={(width * FRAME.height) / FRAME.width}
      viewBox={`0 0 ${FRAME.width} ${FRAME.height}`}
      aria-hidden
    >
      {drawing.map(({ d, line, face, width: stroke = 1.5 }, index) => (
        <Path
          key={index}
          d={d}
          fill={face ? tones[face] : 'none'}
          stroke={line ? tones[line] : 'none'}
          strokeWidth={stroke}
          strokeLinejoin="round"
        />
      ))}
    </Svg>
  );
}
