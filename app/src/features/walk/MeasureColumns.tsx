import {
  cataloguePoint,
  gradeAtSpot,
  gradePoint,
  pointKey,
  readingAt,
  readingValue,
  tapeThresholds,
  type Phase,
  type PointRef,
  type Spot,
} from '@weskopos/core';
import { StyleSheet, View, useWindowDimensions } from 'react-native';
import { Tape } from '../../kit/Tape';
import { SPACE } from '../../kit/tokens';
import { Label } from '../../kit/Words';
import { words } from '../../words/en';
import { capital, pointWords } from '../../words/show';
import { withDraft, type Background } from './visitContext';
import { TypedReading } from './TypedReading';

export interface Draft {
  readonly key: string;
  readonly spot: Spot;
  readonly value: number;
}

interface MeasureColumnsProps {
  readonly refs: readonly PointRef[];
  readonly background: Background;
  readonly phase: Phase;
  readonly draft: Draft | null;
  readonly onDraft: (draft: Draft) => void;
  readonly onReading: (ref: PointRef, spot: Spot, value: number) => void;
}

/** The tapes of one step side by side, outside first: three are a tread, two are a brake. */
export function MeasureColumns({ refs, background, phase, draft, onDraft, onReading }: MeasureColumnsProps) {
  const { height } = useWindowDimensions();
  const { vehicle, sheet, inspection } = background.grading;
  const tape = Math.max(200, Math.min(330, height - 560));
  const columns = refs.flatMap((ref) => cataloguePoint(ref.point).spots.map((spot) => ({ ref, spot })));
  return (
    <View style={styles.columns}>
      {columns.map(({ ref, spot }) => {
        const { measure } = cataloguePoint(ref.point);
        if (!measure) return null;
        const key = pointKey(ref.point, ref.place);
        const standing = background.grading.standing.get(key);
        const reading = readingAt(standing, spot, phase);
        const sliding = draft?.key === key && draft.spot === spot;
        const value = sliding ? draft.value : reading ? readingValue(reading) : null;
        const found = phase === 'left' ? readingAt(standing, spot, 'found') : undefined;
        return (
          <View key={`${key}${spot}`} style={styles.column}>
            <Label size="l" style={styles.centre}>
              {spot === 'whole'
                ? refs.length > 1
                  ? words.point[ref.point]
                  : words.measure[measure]
                : capital(words.spot[spot])}
            </Label>
            <Tape
              measure={measure}
              label={pointWords(ref.point, ref.place, vehicle.axles.length, spot)}
              value={value}
              grade={gradeAtSpot(gradePoint(ref, withDraft(background, ref, spot, phase, value)), spot)}
              thresholds={tapeThresholds(sheet, measure, ref.place, vehicle, inspection)}
              ghost={found ? readingValue(found) : background.ghost(ref, spot)}
              expected={background.expected(ref, spot)}
              height={tape}
              onSlide={(at) => onDraft({ key, spot, value: at })}
              onSet={(at) => onReading(ref, spot, at)}
            />
            <TypedReading
              measure={measure}
              label={`${pointWords(ref.point, ref.place, vehicle.axles.length, spot)}, typed`}
              value={value}
              onValue={(at) => onReading(ref, spot, at)}
            />
          </View>
        );
      })}
    </View>
  );
}

const styles = StyleSheet.create({
  columns: { flexDirection: 'row', gap: SPACE.s, justifyContent: 'center' },
  column: { flex: 1, maxWidth: 150, minWidth: 84, gap: SPACE.xs },
  centre: { textAlign: 'center' },
});
