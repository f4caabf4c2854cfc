import { PROMISED, heldBetween, type HeldUp } from '@weskopos/core';
import Svg, { Circle, Line, Text as SvgText } from 'react-native-svg';
import { FONT, SIZE } from '../../kit/tokens';
import { usePalette } from '../../kit/theme';
import { score as say } from '@weskopos/words/en/pages/score';

interface HeldStripProps {
  readonly name: string;
  readonly told: HeldUp;
  /** Whether what is promised is written under it: once for several. */
  readonly labelled?: boolean;
}

const [HEIGHT, BARE_HEIGHT] = [46, 28];
/** Height of the strip's line, and of what is written under it. */
const [MIDDLE, FOOT] = [14, 40];
/** Ends of the strip, share of the width: the words at its ends have room. */
const [LEFT, RIGHT] = [3, 95];

const at = (share: number) => `${LEFT + (RIGHT - LEFT) * share}%`;

/** How often ranges held, with how sure that is, beside what they promise: 0 at the left, always at the right. */
export function HeldStrip({ name, told, labelled = true }: HeldStripProps) {
  const palette = usePalette();
  const between = heldBetween(told);
  if (told.held === null || between === null) return null;
  const percent = (share: number) => `${Math.round(share * 100)} %`;
  const spoken = say.heldSpoken(name, percent(told.held), told.parts, between.map(percent), percent(PROMISED));
  return (
    <Svg width="100%" height={labelled ? HEIGHT : BARE_HEIGHT} role="img" aria-label={spoken}>
      <Line x1={at(0)} x2={at(1)} y1={MIDDLE} y2={MIDDLE} stroke={palette.rule} strokeWidth={2} />
      <Line x1={at(PROMISED)} x2={at(PROMISED)} y1={2} y2={26} stroke={palette.ink} strokeWidth={2} />
      <Line
        x1={at(between[0])}
        x2={at(between[1])}
        y1={MIDDLE}
        y2={MIDDLE}
        stroke={palette.forecast}
        strokeWidth={8}
        strokeOpacity={0.35}
        strokeLinecap="round"
      />
      <Circle cx={at(told.held)} cy={MIDDLE} r={6} fill={palette.forecast} />
      {labelled ? (
        <SvgText
          x={at(PROMISED)}
          y={FOOT}
          fill={palette.soft}
          fontFamily={FONT.word}
          fontSize={SIZE.s}
          textAnchor="middle"
        >
          {say.promised}
        </SvgText>
      ) : null}
    </Svg>
  );
}
