import { MEASURES, parseMeasure, type MeasureCode } from '@weskopos/core';
import { useEffect, useRef, useState } from 'react';
import { StyleSheet, TextInput, View } from 'react-native';
import { CORNER, FONT, SIZE, SPACE, TOUCH } from '../../kit/tokens';
import { usePalette } from '../../kit/theme';
import { Words } from '../../kit/Words';
import { figure, unitWord, workshopUnit } from '../../words/show';

interface TypedReadingProps {
  readonly measure: MeasureCode;
  readonly label: string;
  readonly value: number | null;
  readonly onValue: (value: number) => void;
}

/** Typing settles this long after the last key, ms: a half-typed `1` of `1.5` is not a reading. */
const SETTLE_MS = 700;

/** The same reading on the number pad, in either unit. What cannot be is told with its range, and stays as typed. */
export function TypedReading({ measure, label, value, onValue }: TypedReadingProps) {
  const palette = usePalette();
  const shown = value === null ? '' : figure(measure, value).replace('−', '-');
  const [typed, setTyped] = useState<string | null>(null);
  const timer = useRef<ReturnType<typeof setTimeout> | null>(null);
  const pending = useRef<string | null>(null);
  const gauge = MEASURES[measure];

  const parsed = parseMeasure(typed ?? '', workshopUnit(measure));
  const impossible =
    typed !== null &&
    (parsed.status === 'unreadable' ||
      (parsed.status === 'value' && (parsed.stored < gauge.least || parsed.stored > gauge.most)));

  const settle = () => {
    if (timer.current) clearTimeout(timer.current);
    const text = pending.current;
    pending.current = null;
    if (text === null) return;
    const read = parseMeasure(text, workshopUnit(measure));
    if (read.status !== 'value' || read.stored < gauge.least || read.stored > gauge.most) return;
    setTyped(null);
    onValue(Number(read.stored.toFixed(4)));
  };
  const settleNow = useRef(settle);
  useEffect(() => {
    settleNow.current = settle;
  });
  // Leaving the step, by Next or by going back, keeps what was typed.
  useEffect(() => () => settleNow.current(), []);

  const change = (text: string) => {
    setTyped(text);
    pending.current = text;
    if (timer.current) clearTimeout(timer.current);
    timer.current = setTimeout(() => settleNow.current(), SETTLE_MS);
  };

  return (
    <View style={styles.typed}>
      <TextInput
        aria-label={label}
        aria-invalid={impossible}
        value={typed ?? shown}
        placeholder={unitWord(measure)}
        placeholderTextColor={palette.soft}
        inputMode={measure === 'level' ? 'text' : 'decimal'}
        selectTextOnFocus
        onChangeText={change}
        onBlur={settle}
        onSubmitEditing={settle}
        style={[
          styles.input,
          { color: palette.ink, backgroundColor: palette.card, borderColor: impossible ? palette.fail : palette.rule },
        ]}
      />
      {impossible ? (
        <Words size="s" role="alert" colour={palette.fail}>
          {`${gauge.least} to ${gauge.most}${gauge.unit === 'level' ? ', 0 min to 1 max' : ` ${gauge.unit}`}`}
        </Words>
      ) : null}
    </View>
  );
}

const styles = StyleSheet.create({
  typed: { gap: SPACE.xs },
  input: {
    minHeight: TOUCH.least,
    minWidth: 0,
    width: '100%',
    borderWidth: 1,
    borderRadius: CORNER.s,
    textAlign: 'center',
    fontFamily: FONT.labelStrong,
    fontSize: SIZE.xl,
  },
});
