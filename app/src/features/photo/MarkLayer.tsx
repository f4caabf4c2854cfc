import type { PhotoMark } from '@weskopos/core';
import { StyleSheet } from 'react-native';
import Svg, { Circle, G, Line, Path, Text as SvgText } from 'react-native-svg';
import { FONT } from '../../kit/tokens';

interface MarkLayerProps {
  readonly marks: readonly PhotoMark[];
  /** Px the picture is shown at. */
  readonly width: number;
  readonly height: number;
}

const HEAD = 0.5;
/** One plum for both themes: a photo has no theme. */
const MARK_COLOUR = '#9A1B47';

/** Marks over a photo, drawn beside it, never into it: light on dark so that they show on any picture. */
export function MarkLayer({ marks, width, height }: MarkLayerProps) {
  const stroke = Math.max(2, width / 110);
  const layers = [
    { colour: '#FFFFFF', extra: stroke },
    { colour: MARK_COLOUR, extra: 0 },
  ];
  return (
    <Svg width={width} height={height} style={styles.layer} aria-hidden>
      {layers.map(({ colour, extra }) => (
        <G key={colour}>
          {marks.map((mark, index) => {
            const [x, y] = [mark.x * width, mark.y * height];
            if (mark.kind === 'ring')
              return (
                <Circle
                  key={index}
                  cx={x}
                  cy={y}
                  r={mark.radius * width}
                  fill="none"
                  stroke={colour}
                  strokeWidth={stroke + extra}
                />
              );
            if (mark.kind === 'text')
              return (
                <SvgText
                  key={index}
                  x={x}
                  y={y}
                  fontFamily={FONT.labelStrong}
                  fontSize={Math.max(13, width / 18)}
                  fill={colour}
                  {...(extra > 0 ? { stroke: colour, strokeWidth: extra * 1.5 } : {})}
                >
                  {mark.text}
                </SvgText>
              );
            const [toX, toY] = [mark.toX * width, mark.toY * height];
            const angle = Math.atan2(toY - y, toX - x);
            const head = (turn: number) =>
              `L${toX - Math.cos(angle + turn) * stroke * 5} ${toY - Math.sin(angle + turn) * stroke * 5}`;
            return (
              <G key={index}>
                <Line x1={x} y1={y} x2={toX} y2={toY} stroke={colour} strokeWidth={stroke + extra} />
                <Path
                  d={`M${toX} ${toY}${head(HEAD)}M${toX} ${toY}${head(-HEAD)}`}
                  fill="none"
                  stroke={colour}
                  strokeWidth={stroke + extra}
                />
              </G>
            );
          })}
        </G>
      ))}
    </Svg>
  );
}

const styles = StyleSheet.create({ layer: { position: 'absolute', top: 0, left: 0, pointerEvents: 'none' } });
