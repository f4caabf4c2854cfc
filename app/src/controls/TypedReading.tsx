import {
  MEASURES,
  fromStored,
  parseMeasure,
  parseWeekCode,
  pressureUnitOf,
  toStored,
  type Bound,
  type MeasureCode,
  type PressureUnit,
  type Unit,
} from '@weskopos/core';
import { useEffect, useRef, useState } from 'react';
import { StyleSheet, TextInput, View } from 'react-native';
import { padded, type PadAsks } from '../kit/pad';
import { CORNER, FONT, SIZE, SPACE, TOUCH } from '../kit/tokens';
import { scaled } from '../kit/textScale';
import { Press } from '../kit/Press';
import { usePalette } from '../kit/theme';
import { Words } from '../kit/Words';
import { figure, figureIn, houseRules, unitWord, workshopUnit } from '@weskopos/words/show';
import { typing as say } from '@weskopos/words/en/pages/typing';

interface TypedReadingProps {
  readonly measure: MeasureCode;
  readonly label: string;
  readonly value: number | null;
  readonly onValue: (value: number, bound: Bound) => void;
  /** The field was left empty: what was read is to be no reading. */
  readonly onClear?: () => void;
}

type Read =
  | { readonly status: 'value'; readonly stored: number; readonly bound: Bound }
  | { readonly status: 'empty' | 'impossible' };

/** Typing settles this long after the last key, ms: a half-typed `1` of `1.5` is not a reading. */
const SETTLE_MS = 700;

/** A gauge that ends before the reading does: `>8`, `over 8`; `<1`, `under 1`. */
const BOUND = /^\s*(over|under|[<>≤≥])?\s*(.*)$/i;
const OVER = /over|[>≥]/i;
/** Other units a gauge may be read in, by what is measured. */
const OTHER_UNITS: Partial<Record<MeasureCode, readonly Unit[]>> = {
  pressure: ['kPa', 'bar', 'psi'],
  temperature: ['°C', '°F'],
  torque: ['N·m', 'lb·ft'],
};

function asksOf(measure: MeasureCode): PadAsks {
  const unit = unitWord(measure);
  return {
    signed: MEASURES[measure].least < 0,
    bounds: measure !== 'tyre-age',
    fraction: measure === 'level' || measure === 'tread',
    units: (OTHER_UNITS[measure] ?? []).filter((one) => one !== unit),
  };
}

function readTyped(measure: MeasureCode, text: string): Read {
  if (text.trim() === '') return { status: 'empty' };
  if (measure === 'tyre-age') {
    const week = parseWeekCode(text);
    if (week.status === 'unreadable') return { status: 'impossible' };
    return { status: 'value', stored: week.yyyyww, bound: week.before2000 ? 'under' : 'exact' };
  }
  const [, sign = '', rest = ''] = BOUND.exec(text) ?? [];
  const parsed = parseMeasure(rest, workshopUnit(measure));
  const { least, most } = MEASURES[measure];
  if (parsed.status !== 'value' || parsed.stored < least || parsed.stored > most) return { status: 'impossible' };
  const bound = sign === '' ? 'exact' : OVER.test(sign) ? 'over' : 'under';
  return { status: 'value', stored: Number(parsed.stored.toFixed(4)), bound };
}

/** What a pressure that cannot be would be in another unit: 32 on a gauge in psi, where the house reads bar. */
function inOtherUnit(
  measure: MeasureCode,
  text: string,
): { readonly unit: PressureUnit; readonly figure: number } | null {
  const own = houseRules().units.pressure;
  const parsed = parseMeasure(text, own);
  if (measure !== 'pressure' || parsed.status !== 'value' || parsed.unit !== own) return null;
  const figure = fromStored(parsed.stored, own);
  const unit = pressureUnitOf(figure, own);
  return unit && { unit, figure };
}

function allowedWords(measure: MeasureCode): string {
  if (measure === 'tyre-age') return say.fourDigitsWeekAndYear;
  const { least, most } = MEASURES[measure];
  const unit = workshopUnit(measure);
  const round = (value: number) => figureIn(unit, value).replace(/\.0+$/, '');
  return say.allowedRange(round(least), round(most), measure === 'level' ? say.levelRange : ` ${unitWord(measure)}`);
}

/** The same reading on the number pad, in either unit. What cannot be is told with its range, and stays as typed. */
export function TypedReading({ measure, label, value, onValue, onClear }: TypedReadingProps) {
  const palette = usePalette();
  const shown = value === null ? '' : figure(measure, value).replace('−', '-');
  const [typed, setTyped] = useState<string | null>(null);
  const timer = useRef<ReturnType<typeof setTimeout> | null>(null);
  const pending = useRef<string | null>(null);
  const input = useRef<(TextInput & Partial<HTMLInputElement>) | null>(null);
  const other = typed === null ? null : inOtherUnit(measure, typed);
  const impossible = typed !== null && readTyped(measure, typed).status === 'impossible';

  /** @param left the field is left, by Enter too: empty then means that nothing was read */
  const settle = (left: boolean) => {
    if (timer.current) clearTimeout(timer.current);
    const text = pending.current;
    pending.current = null;
    if (text === null) return;
    const read = readTyped(measure, text);
    if (read.status === 'empty' && left && value !== null && onClear) {
      setTyped(null);
      onClear();
    }
    // Empty while the hand is on it may be the way to another figure: only leaving it says more.
    if (read.status === 'empty' && !left) pending.current = text;
    if (read.status !== 'value') return;
    setTyped(null);
    onValue(read.stored, read.bound);
  };
  const settleNow = useRef(settle);
  useEffect(() => {
    settleNow.current = settle;
  });
  // Leaving the step, by Next or by going back, keeps what was typed.
  useEffect(() => () => settleNow.current(true), []);

  const change = (text: string) => {
    setTyped(text);
    pending.current = text;
    if (timer.current) clearTimeout(timer.current);
    timer.current = setTimeout(() => settleNow.current(false), SETTLE_MS);
  };

  // What stands is selected in the tap itself: done later, as the platform would, it swallows the first figure of a hand
  // that is quicker, and 14.2 becomes 4.2.
  const selectAll = (event: Pick<Event, 'preventDefault'>) => {
    const field = input.current as HTMLInputElement | null;
    if (!field || field === document.activeElement) return;
    event.preventDefault();
    field.focus();
    field.select();
  };

  return (
    <View style={styles.typed}>
      <TextInput
        aria-label={label}
        aria-invalid={impossible}
        value={typed ?? shown}
        placeholder={unitWord(measure)}
        placeholderTextColor={palette.soft}
        {...padded(asksOf(measure), measure === 'level' ? 'text' : 'decimal')}
        ref={input}
        {...{ onMouseDown: selectAll }}
        onChangeText={change}
        onBlur={() => settle(true)}
        onSubmitEditing={() => settle(true)}
        style={[
          styles.input,
          { color: palette.ink, backgroundColor: palette.card, borderColor: impossible ? palette.fail : palette.edge },
        ]}
      />
      {impossible ? (
        <Words size="s" role="alert" colour={palette.fail}>
          {allowedWords(measure)}
        </Words>
      ) : null}
      {impossible && other ? (
        <Press
          label={say.takeAs(Number(other.figure.toFixed(2)), other.unit)}
          onPress={() => {
            pending.current = null;
            setTyped(null);
            onValue(Number(toStored(other.figure, other.unit).toFixed(4)), 'exact');
          }}
        />
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
    fontSize: scaled(SIZE.xl),
  },
});
