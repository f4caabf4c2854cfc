import { METER_RANGE, type Vehicle } from '@weskopos/core';
import type { Work } from '@weskopos/core/works/worksOf';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { Field } from '../../kit/Field';
import { SPACE } from '../../kit/tokens';
import { Words } from '../../kit/Words';
import { putEntry } from '../../visit/putEntry';
import { words } from '@weskopos/words/en';
import { works as say } from '@weskopos/words/en/pages/works';
import { meterTypedUnit, meterWords } from '@weskopos/words/show';
import { figureIn } from '../life/lifeEntryForm';
import { AskRow } from './AskRow';
import { doneEntries } from './doneEntries';

interface DoneFormProps {
  readonly work: Work;
  readonly vehicle: Vehicle;
  readonly lastMeter: number | null;
  readonly onLeave: () => void;
}

/** A work is done: the meter it was done at, what went in; both may be left out. */
export function DoneForm({ work, vehicle, lastMeter, onLeave }: DoneFormProps) {
  const [typed, setTyped] = useState('');
  const [sure, setSure] = useState(false);
  const [numbers, setNumbers] = useState('');
  const unit = meterTypedUnit(vehicle.meterUnit);
  const range = METER_RANGE[vehicle.meterUnit];
  const meter = figureIn(typed, unit, range);
  const made = doneEntries(work.task, vehicle, numbers.trim());
  const keep = async () => {
    if (meter === 'outside') return;
    // Behind the last visit it may be told late, or misread: asked once, then kept.
    if (meter !== null && lastMeter !== null && meter < lastMeter && !sure) return setSure(true);
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
        onChangeText={(text) => {
          setTyped(text);
          setSure(false);
        }}
        figures={{ signed: false }}
        help={say.doneMeterHelp}
        problem={
          meter === 'outside' ? say.doneMeterRange(range.least, meterWords(range.most, vehicle.meterUnit)) : undefined
        }
      />
      {sure && lastMeter !== null ? (
        <Words role="alert">{words.entryForm.behind(meterWords(lastMeter, vehicle.meterUnit))}</Words>
      ) : null}
      <Field label={say.doneNumbers} value={numbers} onChangeText={setNumbers} maxLength={120} />
      <AskRow keep={say.step.done} onKeep={() => void keep()} onLeave={onLeave} />
    </View>
  );
}

const styles = StyleSheet.create({
  form: { gap: SPACE.s },
});
