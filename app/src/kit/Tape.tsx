import { fromStored, type Grade, type MeasureCode, type Threshold } from '@weskopos/core';
import { useRef, useState } from 'react';
import { StyleSheet, View, type GestureResponderEvent } from 'react-native';
import { amount, figureIn, workshopUnit } from '@weskopos/words/show';
import { words } from '@weskopos/words/en';
import { OWN_FINGER } from './ownFinger';
import { TapeDrawing } from './TapeDrawing';
import { fromShare, keyMoves, stepped, type TapeGauge } from './tapeScale';
import { kit as say } from '@weskopos/words/en/pages/kit';

/** What a tape is given: what it measures, what stands on it, and what a finger does. */
export interface TapeProps {
  readonly measure: MeasureCode;
  /** What it is to assistive technology, e.g. `Tread outer, nearside front`. */
  readonly label: string;
  readonly gauge: TapeGauge;
  readonly value: number | null;
  readonly grade: Grade;
  readonly thresholds: readonly Threshold[];
  /** Last visit's value, drawn hollow. */
  readonly ghost: number | null;
  /** What the trend expects today. */
  readonly expected: number | null;
  /** Lying across the page, or standing. */
  readonly across: boolean;
  /** Px: its height when it stands, its thickness when it lies. */
  readonly height: number;
  /** Drawn as what is looked at: a stick, a bottle, or plainly as a tape. */
  readonly shape: 'tape' | 'stick' | 'bottle';
  /** While the finger is down. */
  readonly onSlide: (value: number) => void;
  /** When it is lifted, or a key was pressed. */
  readonly onSet: (value: number) => void;
}

/** The gauge's step as it is told; a step is a difference: where the scale begins does not count. */
const shownStep = (measure: TapeProps['measure'], step: number) => {
  const unit = workshopUnit(measure);
  return figureIn(unit, fromStored(step, unit) - fromStored(0, unit), 2).replace(/\.?0+$/, '');
};

/** Px left free at both ends for the end figures. */
export const TAPE_MARGIN = 24;

/** The measuring control: a scale drawn to size with the limits cut into its edge. Slide, tap or use the keys. */
export function Tape(props: TapeProps) {
  const { label, onSlide, onSet, ...drawing } = props;
  const { measure, gauge, value, grade, ghost, expected, across, height } = drawing;
  const [width, setWidth] = useState(0);
  const last = useRef<number | null>(null);
  const length = across ? width : height;
  const element = useRef<View>(null);
  const touch = ({ nativeEvent }: GestureResponderEvent) => {
    const at = across ? nativeEvent.locationX : height - nativeEvent.locationY;
    last.current = fromShare(gauge, (at - TAPE_MARGIN) / (length - 2 * TAPE_MARGIN));
    onSlide(last.current);
  };
  const start = value ?? expected ?? ghost ?? (gauge.tape[0] + gauge.tape[1]) / 2;
  const keyDown = (event: { key: string; preventDefault(): void; stopPropagation(): void }) => {
    const moved = keyMoves(gauge, value ?? stepped(gauge, start), event.key);
    if (moved === undefined) return;
    event.preventDefault();
    event.stopPropagation();
    onSet(moved);
  };
  return (
    <View
      ref={element}
      role="slider"
      tabIndex={0}
      aria-label={label}
      aria-orientation={across ? 'horizontal' : 'vertical'}
      aria-valuemin={gauge.tape[0]}
      aria-valuemax={gauge.tape[1]}
      aria-valuenow={value ?? stepped(gauge, start)}
      aria-valuetext={value === null ? say.noReadingYet : `${amount(measure, value)}, ${words.grade[grade]}`}
      onLayout={(event) => setWidth(event.nativeEvent.layout.width)}
      onStartShouldSetResponder={() => true}
      onMoveShouldSetResponder={() => true}
      onResponderTerminationRequest={() => false}
      onResponderGrant={(event) => {
        element.current?.focus();
        touch(event);
      }}
      onResponderMove={touch}
      onResponderRelease={() => last.current !== null && onSet(last.current)}
      {...{
        onKeyDown: keyDown,
        ...OWN_FINGER,
        dataSet: { ...OWN_FINGER.dataSet, step: shownStep(measure, gauge.step) },
      }}
      style={[styles.tape, { height }]}
    >
      {width > 0 ? <TapeDrawing {...drawing} width={width} /> : null}
    </View>
  );
}

const styles = StyleSheet.create({
  // The page must not scroll under a finger that slides a reading.
  tape: { alignSelf: 'stretch', ...({ touchAction: 'none', cursor: 'pointer' } as object) },
});
