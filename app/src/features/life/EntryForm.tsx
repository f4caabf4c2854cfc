import type { Vehicle } from '@weskopos/core';
import { StyleSheet, View } from 'react-native';
import { useWatch } from 'react-hook-form';
import { FormChoice, FormField } from '../../controls/FormFields';
import { useCheckedForm } from '../../controls/useCheckedForm';
import { Press } from '../../kit/Press';
import { SPACE } from '../../kit/tokens';
import { Heading, Words } from '../../kit/Words';
import { nowIso } from '../../sync/clock';
import { putEntry } from '../../visit/putEntry';
import { words } from '@weskopos/words/en';
import { meterTypedUnit, meterWords } from '@weskopos/words/show';
import { EntryFields } from './EntryFields';
import {
  FORM_KINDS,
  blankEntry,
  contentOf,
  entryProblems,
  meterOf,
  whenOf,
  type EntryForm as Form,
} from './lifeEntryForm';

interface EntryFormProps {
  readonly vehicle: Vehicle;
  /** Last meter known, for comparison; null before any. */
  readonly lastMeter: number | null;
  readonly onDone: () => void;
}

/** Something that happened between visits, or is coming: fuel, a top-up, the meter, a job done, a part fitted, a long trip. */
export function EntryForm({ vehicle, lastMeter, onDone }: EntryFormProps) {
  const { clearErrors, control, formState, handleSubmit, setValue } = useCheckedForm<Form>(
    blankEntry(vehicle),
    (typed) => entryProblems(typed, { vehicle, lastMeter, now: nowIso() }),
  );
  const kind = useWatch({ control, name: 'kind' });
  const { sure } = formState.errors;
  const keep = handleSubmit(
    async (typed) => {
      const now = nowIso();
      const when = { vehicleId: vehicle.id, meter: meterOf(typed, vehicle), at: whenOf(typed, vehicle, now) };
      await putEntry(when, contentOf(typed, vehicle, now));
      onDone();
    },
    // Asked once: kept again, it is meant.
    (problems) => problems.sure && setValue('sure', true),
  );
  return (
    <View style={styles.form}>
      <Heading level={3}>{words.entryForm.title}</Heading>
      <FormChoice
        control={control}
        name="kind"
        label={words.entryForm.what}
        options={FORM_KINDS}
        word={(one) => words.entryKind[one]}
      />
      <FormField
        control={control}
        name="meter"
        label={`${vehicle.meterUnit === 'h' ? words.arrival.hourMeter : words.arrival.odometer}, ${meterTypedUnit(vehicle.meterUnit)}`}
        onTyped={() => {
          setValue('sure', false);
          clearErrors('sure');
        }}
        help={lastMeter === null ? '' : words.entryForm.lastKnown(meterWords(lastMeter, vehicle.meterUnit))}
      />
      {kind === 'plan' ? null : (
        <FormField control={control} name="when" label={words.entryForm.when} placeholder={words.entryForm.whenHint} />
      )}
      <EntryFields kind={kind} control={control} vehicle={vehicle} />
      {sure ? <Words role="alert">{sure.message}</Words> : null}
      <View style={styles.row}>
        <Press label={words.entryForm.leave} onPress={onDone} />
        <Press kind="main" label={words.entryForm.keep} onPress={() => void keep()} style={styles.grow} />
      </View>
    </View>
  );
}

const styles = StyleSheet.create({
  form: { gap: SPACE.m },
  row: { flexDirection: 'row', gap: SPACE.s },
  grow: { flex: 1 },
});
