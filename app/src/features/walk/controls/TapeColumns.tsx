import {
  MEASURES,
  cataloguePoint,
  gradeAtSpot,
  gradePoint,
  mainSlot,
  pointKey,
  readingAt,
  readingValue,
  type MeasureCode,
  type PointRef,
  type Spot,
} from '@weskopos/core';
import { tapeThresholds } from '@weskopos/core/walk';
import { StyleSheet, View, useWindowDimensions } from 'react-native';
import { Tape, type TapeProps } from '../../../kit/Tape';
import { fittedTape, stretchedTape } from '../../../kit/tapeScale';
import { SPACE } from '../../../kit/tokens';
import { Label } from '../../../kit/Words';
import { words } from '@weskopos/words/en';
import { capital, pointWords, type Seats } from '@weskopos/words/show';
import { clearedChange, readingChange } from '../../../visit/readings';
import { withDraft, type Background } from '../../../visit/visitContext';
import type { ControlProps, PutFinding, SlidingProps } from './control';
import { TypedReading } from '../../../controls/TypedReading';
import { controls as say } from '@weskopos/words/en/pages/controls';

/** One tape beside others: which reading it takes, and what stands over it. */
export interface TapeSlot {
  readonly pointRef: PointRef;
  readonly measure: MeasureCode;
  readonly spot: Spot;
  readonly title: string;
}

interface TapeColumnsProps extends SlidingProps {
  readonly slots: readonly TapeSlot[];
  readonly background: Background;
  readonly phase: ControlProps['phase'];
  readonly put: PutFinding;
}

/** Measures whose scale lies across the page; the others stand, as a tread or a bottle does. */
const ACROSS: readonly MeasureCode[] = [
  'pressure',
  'rest-voltage',
  'charge-voltage',
  'crank',
  'glycol',
  'freeze',
  'boiling',
  'water',
];
const LYING_PX = 96;

function shapeOf({ pointRef, measure }: TapeSlot): TapeProps['shape'] {
  return measure === 'level' ? (cataloguePoint(pointRef.point).vessel ?? 'tape') : 'tape';
}

/** The tapes of one step side by side, outside first: three are a tread, two are a brake. */
export function TapeColumns({ slots, background, phase, draft, onDraft, put }: TapeColumnsProps) {
  const { height } = useWindowDimensions();
  const across = slots.every(({ measure }) => ACROSS.includes(measure));
  const tape = across ? LYING_PX : Math.max(180, Math.min(300, height - 650));
  return (
    <View style={across ? styles.rows : styles.columns}>
      {slots.map((slot) => (
        <TapeColumn
          key={`${pointKey(slot.pointRef.point, slot.pointRef.place)}${slot.measure}${slot.spot}`}
          slot={slot}
          across={across}
          height={tape}
          background={background}
          phase={phase}
          draft={draft}
          onDraft={onDraft}
          put={put}
        />
      ))}
    </View>
  );
}

interface TapeColumnProps extends Omit<TapeColumnsProps, 'slots'> {
  readonly slot: TapeSlot;
  readonly across: boolean;
  readonly height: number;
}

function TapeColumn({ slot, across, height, background, phase, draft, onDraft, put }: TapeColumnProps) {
  const { pointRef, measure, spot } = slot;
  const { grading, history } = background;
  const key = pointKey(pointRef.point, pointRef.place);
  const standing = grading.standing.get(key);
  const reading = readingAt(standing, measure, spot, phase);
  const sliding = draft?.key === key && draft.measure === measure && draft.spot === spot;
  const known = reading && reading.bound === 'exact' ? readingValue(reading) : null;
  const value = sliding ? draft.value : known;
  const found = phase === 'left' ? readingAt(standing, measure, spot, 'found') : undefined;
  const ghost = found ? readingValue(found) : history.ghost(pointRef, measure, spot);
  const expected = history.expected(pointRef, measure, spot);
  const thresholds = tapeThresholds(pointRef, measure, grading);
  const drafted = value === null ? null : { measure, spot, phase, value };
  const grade = gradeAtSpot(gradePoint(pointRef, withDraft(grading, pointRef, drafted)), measure, spot);
  const label = slotLabel(slot, grading.vehicle);
  const set = (at: number) => {
    onDraft(null);
    put(pointRef, (before) => readingChange(before, { measure, spot, phase }, at));
  };
  return (
    <View style={across ? styles.row : styles.column}>
      <Label size="l" style={styles.centre}>
        {slot.title}
      </Label>
      <Tape
        measure={measure}
        label={label}
        gauge={
          across
            ? fittedTape(MEASURES[measure], [...thresholds.map((edge) => edge.value), ghost, known])
            : stretchedTape(MEASURES[measure], measure === 'level' ? [] : thresholds.map((edge) => edge.value))
        }
        value={value}
        grade={grade}
        thresholds={thresholds}
        ghost={ghost}
        expected={expected}
        across={across}
        height={height}
        shape={shapeOf(slot)}
        onSlide={(at) => onDraft({ key, measure, spot, phase, value: at })}
        onSet={set}
      />
      <TypedReading
        measure={measure}
        label={say.typed(label)}
        value={value}
        onValue={set}
        onClear={() => put(pointRef, (before) => clearedChange(before, { measure, spot, phase }))}
      />
    </View>
  );
}

/** What a slot is to assistive technology: the point, with the measure where it is not the point's one. */
export function slotLabel({ pointRef, measure, spot }: Omit<TapeSlot, 'title'>, axles: Seats): string {
  const main = mainSlot(cataloguePoint(pointRef.point));
  const name = pointWords(pointRef.point, pointRef.place, axles, spot);
  return main?.measure === measure && main.need === 'each' ? name : `${name}: ${words.measure[measure].toLowerCase()}`;
}

/** The title over a tape: where on the part, or what is measured. */
export function slotTitle(measure: MeasureCode, spot: Spot): string {
  return spot === 'whole' ? words.measure[measure] : capital(words.spot[spot]);
}

const styles = StyleSheet.create({
  columns: { flexDirection: 'row', gap: SPACE.s, justifyContent: 'center' },
  rows: { gap: SPACE.m },
  column: { flex: 1, maxWidth: 150, minWidth: 84, gap: SPACE.xs },
  row: { gap: SPACE.xs },
  centre: { textAlign: 'center' },
});
