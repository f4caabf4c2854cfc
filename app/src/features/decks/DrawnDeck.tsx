import type { DeckDrawing } from '@weskopos/core/decks/drawDeck';
import { DRAWING } from '@weskopos/core/decks/vehicleShape';
import { StyleSheet } from 'react-native';
import Svg, { Text as SvgText } from 'react-native-svg';
import { FONT, SIZE } from '../../kit/tokens';
import { usePalette } from '../../kit/theme';
import { Shapes } from './Shapes';

interface DrawnDeckProps {
  readonly drawing: Pick<DeckDrawing, 'shapes' | 'texts'>;
  /** The drawing in words, for who does not see it. */
  readonly alt: string;
}

/** One floor of a vehicle as it is drawn. */
export function DrawnDeck({ drawing: { shapes, texts }, alt }: DrawnDeckProps) {
  const palette = usePalette();
  return (
    <Svg viewBox={`0 0 ${DRAWING.width} ${DRAWING.height}`} style={styles.drawing} role="img" aria-label={alt}>
      <Shapes shapes={shapes} />
      {texts.map(({ text, x, y, anchor, strong }) => (
        <SvgText
          key={`${x} ${y} ${text}`}
          {...{ x, y }}
          textAnchor={anchor}
          fill={palette.ink}
          fontFamily={strong ? FONT.labelStrong : FONT.label}
          fontSize={SIZE.l}
        >
          {text}
        </SvgText>
      ))}
    </Svg>
  );
}

const styles = StyleSheet.create({ drawing: { width: '100%', aspectRatio: DRAWING.width / DRAWING.height } });
