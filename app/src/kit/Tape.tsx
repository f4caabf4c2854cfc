import { MEASURES, type Grade, type MeasureCode, type Threshold } from '@weskopos/core';
import { ticks as roundTicks } from 'd3-array';
import { useRef, useState } from 'react';
import { StyleSheet, View, type GestureResponderEvent } from 'react-native';
import Svg, { G, Line, Path, Rect, Text as SvgText } from 'react-native-svg';
import { figure } from '../words/show';
import { words } from '../words/en';
import { fromY, keyMoves, stepped, toY } from './tapeScale';
import { FONT, SIZE } from './tokens';
import { gradeColours, usePalette } from './theme';

interface TapeProps {
  readonly measure: MeasureCode;
  /** What it is to assistive technology, e.g. `Tread outer, nearside front`. */
  readonly label: string;
  readonly value: number | null;
  readonly grade: Grade;
  readonly thresholds: readonly Threshold[];
  /** Last visit's value, drawn hollow. */
  readonly ghost: number | null;
  /** What the trend expects today. */
  readonly expected: number | null;
  readonly height: number;
  /** While the finger is down. */
  readonly onSlide: (value: number) => void;
  /** When it is lifted, or a key was pressed. */
  readonly onSet: (value: number) => void;
}

const MARGIN = 24;
const BADGE_HALF = 17;

/** The measuring control: a scale drawn to size with the limits cut into its edge. Slide, tap or use the keys. */
export function Tape({ measure, label, value, grade, thresholds, ghost, expected, height, onSlide, onSet }: TapeProps) {
  const palette = usePalette();
  const [width, setWidth] = useState(0);
  const last = useRef<number | null>(null);
  const gauge = MEASURES[measure];
  const { line, wash } = gradeColours(palette, value === null ? 'not-seen' : grade);
  const y = (at: number) => toY(gauge, height, MARGIN, at);
  const left = 4;
  const right = Math.max(left + 20, width - 4);
  const ticks = roundTicks(gauge.tape[0], gauge.tape[1], 7);

  const touch = (event: GestureResponderEvent) => {
    last.current = fromY(gauge, height, MARGIN, event.nativeEvent.locationY);
    onSlide(last.current);
  };
  const start = value ?? expected ?? ghost ?? (gauge.tape[0] + gauge.tape[1]) / 2;
  const keyDown = (event: { key: string; preventDefault(): void }) => {
    const moved = keyMoves(gauge, value ?? stepped(gauge, start), event.key);
    if (moved === undefined) return;
    event.preventDefault();
    onSet(moved);
  };

  return (
    <View
      role="slider"
      tabIndex={0}
      aria-label={label}
      aria-valuemin={gauge.tape[0]}
      aria-valuemax={gauge.tape[1]}
      aria-valuenow={value ?? stepped(gauge, start)}
      aria-valuetext={
        value === null
          ? 'no reading yet'
          : `${figure(measure, value)} ${gauge.unit === 'level' ? '' : gauge.unit}, ${words.grade[grade]}`
      }
      onLayout={(event) => setWidth(event.nativeEvent.layout.width)}
      onStartShouldSetResponder={() => true}
      onMoveShouldSetResponder={() => true}
      onResponderTerminationRequest={() => false}
      onResponderGrant={touch}
      onResponderMove={touch}
      onResponderRelease={() => last.current !== null && onSet(last.current)}
      {...{ onKeyDown: keyDown }}
      style={[styles.tape, { height }]}
    >
      {width > 0 ? (
        <Svg width={width} height={height} style={styles.drawing} aria-hidden>
          <Rect
            x={left}
            y={MARGIN}
            width={right - left}
            height={height - 2 * MARGIN}
            fill={palette.card}
            stroke={palette.ink}
            strokeWidth={1.5}
          />
          {value === null ? null : (
            <Rect
              x={left + 1}
              y={y(value)}
              width={right - left - 2}
              height={Math.max(0, height - MARGIN - 1 - y(value))}
              fill={wash}
            />
          )}
          {ticks.map((tick) => (
            <G key={tick}>
              <Line x1={left} x2={left + 10} y1={y(tick)} y2={y(tick)} stroke={palette.ink} strokeWidth={1} />
              <SvgText
                x={left + 14}
                y={y(tick) + 5 + (tick === gauge.tape[1] ? 9 : tick === gauge.tape[0] ? -9 : 0)}
                fill={palette.soft}
                fontFamily={FONT.label}
                fontSize={SIZE.m}
              >
                {gauge.unit === 'level' ? levelTick(tick) : String(tick).replace('-', '−')}
              </SvgText>
            </G>
          ))}
          {thresholds.map((edge) => (
            <Cut
              key={`${edge.grade}${edge.bad}${edge.value}`}
              x={right}
              y={y(edge.value)}
              colour={edge.grade === 'fail' ? palette.fail : palette.advisory}
              ground={palette.ground}
            />
          ))}
          {ghost === null ? null : (
            <Line
              x1={left + 2}
              x2={right - 2}
              y1={y(ghost)}
              y2={y(ghost)}
              stroke={palette.soft}
              strokeWidth={2}
              strokeDasharray="4 4"
            />
          )}
          {expected === null ? null : (
            <Path
              d={`M${right + 3} ${y(expected) - 6}L${right - 8} ${y(expected)}L${right + 3} ${y(expected) + 6}Z`}
              fill="none"
              stroke={palette.forecast}
              strokeWidth={2}
            />
          )}
          {value === null ? null : (
            <G>
              <Line x1={0} x2={width} y1={y(value)} y2={y(value)} stroke={line} strokeWidth={4} />
              <Rect
                x={width / 2 - 32}
                y={y(value) - BADGE_HALF}
                width={64}
                height={BADGE_HALF * 2}
                rx={8}
                fill={line}
              />
              <SvgText
                x={width / 2}
                y={y(value) + 8}
                textAnchor="middle"
                fill={palette.onFill}
                fontFamily={FONT.labelStrong}
                fontSize={SIZE.h3}
              >
                {figure(measure, value)}
              </SvgText>
            </G>
          )}
        </Svg>
      ) : null}
    </View>
  );
}

function levelTick(tick: number): string {
  return tick === 0 ? 'min' : tick === 1 ? 'max' : tick === 0.5 ? '½' : '';
}

/** A limit as a cut in the tape's edge. */
function Cut({
  x,
  y,
  colour,
  ground,
}: {
  readonly x: number;
  readonly y: number;
  readonly colour: string;
  readonly ground: string;
}) {
  return (
    <Path d={`M${x + 2} ${y - 8}L${x - 10} ${y}L${x + 2} ${y + 8}`} fill={ground} stroke={colour} strokeWidth={2.5} />
  );
}

const styles = StyleSheet.create({
  // The page must not scroll under a finger that slides a reading.
  tape: { alignSelf: 'stretch', ...({ touchAction: 'none', cursor: 'pointer' } as object) },
  drawing: { pointerEvents: 'none' },
});
