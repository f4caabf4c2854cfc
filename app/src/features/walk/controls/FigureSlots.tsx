import { cataloguePoint, namedSteps, readingAt, readingValue, type MeasureCode, type Spot } from '@weskopos/core';
import { StyleSheet, View } from 'react-native';
import { Choice } from '../../../kit/Choice';
import { SPACE } from '../../../kit/tokens';
import { Label } from '../../../kit/Words';
import { words } from '@weskopos/words/en';
import { amount } from '@weskopos/words/show';
import { clearedChange, readingChange } from '../../../visit/readings';
import type { ControlProps } from './control';
import { slotLabel } from './TapeColumns';
import { TypedReading } from '../../../controls/TypedReading';
import { controls as say } from '@weskopos/words/en/pages/controls';

interface FigureSlotsProps extends ControlProps {
  readonly slots: readonly { readonly measure: MeasureCode; readonly spot: Spot }[];
}

/** Readings that are typed or chosen by name: a week code, seconds, clicks, play at two clock positions. */
export function FigureSlots({ pointRef, finding, background, phase, put, slots }: FigureSlotsProps) {
  const axles = background.grading.vehicle.axles.length;
  const many = slots.length > 1 || cataloguePoint(pointRef.point).measures.length > 1;
  return (
    <View style={styles.slots}>
      {slots.map(({ measure, spot }) => {
        const reading = readingAt(finding, measure, spot, phase);
        const value = reading ? readingValue(reading) : null;
        const ghost = background.history.ghost(pointRef, measure, spot);
        const label = slotLabel({ pointRef, measure, spot }, axles);
        const steps = namedSteps(measure);
        const put1 = (at: number, bound: 'exact' | 'over' | 'under' = 'exact') =>
          put(pointRef, (before) => readingChange(before, { measure, spot, phase }, at, { bound }));
        if (steps)
          return (
            <View key={`${measure}${spot}`} style={styles.choice}>
              <Choice
                label={words.spot[spot] ? `${words.measure[measure]}, ${words.spot[spot]}` : words.measure[measure]}
                options={steps}
                word={(step) => words.namedStep[step] ?? step}
                value={value === null ? null : (steps[Math.round(value)] ?? null)}
                onChoose={(step) => put1(steps.indexOf(step))}
              />
            </View>
          );
        return (
          <View key={`${measure}${spot}`} style={many ? styles.half : styles.whole}>
            <Label size="m" soft>
              {`${words.measure[measure]}${ghost === null ? '' : say.last(amount(measure, ghost))}`}
            </Label>
            <TypedReading
              measure={measure}
              label={say.typed(label)}
              value={value}
              onValue={put1}
              onClear={() => put(pointRef, (before) => clearedChange(before, { measure, spot, phase }))}
            />
          </View>
        );
      })}
    </View>
  );
}

const styles = StyleSheet.create({
  slots: { flexDirection: 'row', flexWrap: 'wrap', gap: SPACE.m },
  // Long names wrap within the width instead of running out of it.
  choice: { maxWidth: '100%' },
  half: { flexBasis: 110, flexGrow: 1, gap: SPACE.xs },
  whole: { flexBasis: '100%', maxWidth: 260, gap: SPACE.xs },
});
