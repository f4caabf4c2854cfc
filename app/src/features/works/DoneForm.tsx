import { METER_RANGE, type Vehicle } from '@weskopos/core';
import type { Work } from '@weskopos/core/works/worksOf';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { Field } from '../../kit/Field';
import { Press } from '../../kit/Press';
import { SPACE } from '../../kit/tokens';
import { Words } from '../../kit/Words';
import { putEntry } from '../../visit/putEntry';
import { works as say } from '../../words/en/pages/works';
import { meterTypedUnit, meterWords } from '../../words/show';
import { figureIn } from '../life/lifeEntryForm';
import { doneEntries } from './doneEntries';

interface DoneFormProps {
  readonly work: Work;
  readonly vehicle: Vehicle;
  readonly onLeave: () => void;
}

/** A work is done: the meter it was done at, what went in; both may be left out. */
export function DoneForm({ work, vehicle, onLeave }: DoneFormProps) {
  const [typed, setTyped] = useState('');
  const [numbers, setNumbers] = useState('');
  const unit = meterTypedUnit(vehicle.meterUnit);
  const range = METER_RANGE[vehicle.meterUnit];
  const meter = figureIn(typed, unit, range);
  const made = doneEntries(work.task, vehicle, numbers.trim());
  const keep = async () => {
    if (meter === 'outside') return;
    const when = { vehicleId: vehicle.id, meter };
    for (const one of made) await putEntry(when, one);
    await putEntry(when, {
      kind: 'work-step',
      refers: work.id,
      step: 'done',
      words: numbers.trim(),
      on: null,
      keeper: '',
    });
    onLeave();
  };
  return (
    <View style={styles.form}>
      <Words>{made.length > 0 ? say.doneHelp : say.doneLook}</Words>
      <Field
        label={say.doneMeter(unit)}
        value={typed}
        onChangeText={setTyped}
        figures={{ signed: false }}
        help={say.doneMeterHelp}
        problem={
          meter === 'outside' ? say.doneMeterRange(range.least, meterWords(range.most, vehicle.meterUnit)) : undefined
        }
      />
      <Field label={say.doneNumbers} value={numbers} onChangeText={setNumbers} maxLength={120} />
      <View style={styles.row}>
        <Press label={say.leave} onPress={onLeave} />
        <Press kind="main" label={say.step.done} onPress={() => void keep()} style={styles.grow} />
      </View>
    </View>
  );
}

const styles = StyleSheet.create({
  form: { gap: SPACE.s },
  row: { flexDirection: 'row', gap: SPACE.s },
  grow: { flex: 1 },
});
