import { SIDES, readingAt, readingValue, type Spot } from '@weskopos/core';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { Choice } from '../../../kit/Choice';
import { SPACE } from '../../../kit/tokens';
import { Words } from '../../../kit/Words';
import { words } from '@weskopos/words/en';
import { amount, capital } from '@weskopos/words/show';
import { clearedChange, readingChange } from '../../../visit/readings';
import { TypedReading } from '../../../controls/TypedReading';
import { controls as say } from '@weskopos/words/en/pages/controls';
import type { ControlProps } from './control';

const MEASURE = 'extent';

/** How large damage to glass or body is, and where on the vehicle: one place after the other. */
export function Extents({ finding, phase, put, pointRef }: ControlProps) {
  const places: readonly Spot[] = SIDES;
  const at = (spot: Spot) => readingAt(finding, MEASURE, spot, phase);
  const [where, setWhere] = useState<Spot>(places.find((spot) => at(spot)) ?? 'front');
  // Before places were asked for a size was kept without one.
  const options = at('whole') ? (['whole', ...places] as const) : places;
  const reading = at(where);
  return (
    <View style={styles.stack}>
      <Choice
        label={say.whereOnTheVehicle}
        options={options}
        word={(spot) => {
          const there = at(spot);
          const name = capital(words.spot[spot] || say.placeNotTold);
          return there ? `${name} ${amount(MEASURE, readingValue(there))}` : name;
        }}
        value={where}
        onChoose={setWhere}
      />
      <Words size="m" soft>
        {words.measure[MEASURE]}
      </Words>
      <TypedReading
        key={where}
        measure={MEASURE}
        label={say.typed(`${words.measure[MEASURE]}, ${words.spot[where] || say.placeNotTold}`)}
        value={reading ? readingValue(reading) : null}
        onValue={(value, bound = 'exact') =>
          put(pointRef, (before) => readingChange(before, { measure: MEASURE, spot: where, phase }, value, { bound }))
        }
        onClear={() => put(pointRef, (before) => clearedChange(before, { measure: MEASURE, spot: where, phase }))}
      />
    </View>
  );
}

const styles = StyleSheet.create({ stack: { gap: SPACE.s } });
