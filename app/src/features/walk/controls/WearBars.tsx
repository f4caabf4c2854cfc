import { readingAt, type Spot } from '@weskopos/core';
import { StyleSheet, View } from 'react-native';
import { Choice } from '../../../kit/Choice';
import { SPACE } from '../../../kit/tokens';
import { Words } from '../../../kit/Words';
import { words } from '@weskopos/words/en';
import { HouseLine } from '../../../controls/HouseLine';
import { capital } from '@weskopos/words/show';
import { lookChange, withReading } from '../../../visit/readings';
import type { ControlProps } from './control';
import { controls as say } from '@weskopos/words/en/pages/controls';

/** Height of a tyre's wear bar, mm: 89/459/EEC. */
const BAR_MM = 1.6;
const SPOTS: readonly Spot[] = ['outer', 'centre', 'inner'];
const STATES = ['clear', 'flush'] as const;

/** Tread by its wear bars: a bound, not a number. Flush: at most the bar; clear: more than it. */
export function WearBars({ pointRef, finding, phase, put }: ControlProps) {
  const stateAt = (spot: Spot) => {
    const reading = readingAt(finding, 'tread', spot, phase);
    return reading?.bound === 'over' ? 'clear' : reading?.bound === 'under' ? 'flush' : null;
  };
  const set = (spots: readonly Spot[], state: (typeof STATES)[number]) =>
    put(pointRef, (before) =>
      lookChange(before, {
        readings: spots.reduce(
          (readings, spot) =>
            withReading(readings, { measure: 'tread', spot, phase }, BAR_MM, {
              bound: state === 'clear' ? 'over' : 'under',
            }),
          [...(before?.readings ?? [])],
        ),
      }),
    );
  const word = (state: (typeof STATES)[number]) => (state === 'clear' ? say.clearOfTheBar : say.flush);
  const all = SPOTS.every((spot) => stateAt(spot) === stateAt('outer')) ? stateAt('outer') : null;
  return (
    <View style={styles.bars}>
      <Choice
        label={say.allThreePlaces}
        options={STATES}
        word={(state) => say.everywhere(word(state))}
        value={all}
        onChoose={(state) => set(SPOTS, state)}
      />
      {SPOTS.map((spot) => (
        <Choice
          key={spot}
          label={capital(words.spot[spot])}
          options={STATES}
          word={word}
          value={stateAt(spot)}
          onChoose={(state) => set([spot], state)}
        />
      ))}
      <HouseLine question="treadAs" />
      <Words size="s" soft>
        {say.aBarSaysMoreOr}
      </Words>
    </View>
  );
}

const styles = StyleSheet.create({ bars: { gap: SPACE.s } });
