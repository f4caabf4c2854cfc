import {
  BATTERY_TYPES,
  BRAKE_FLUID_GRADES,
  CRANK_STANDARDS,
  FASTENERS,
  JOB_CODES,
  SPEC_FLUIDS,
  STUD_COUNTS,
} from '@weskopos/core';
import type { ReactNode } from 'react';
import { useFieldArray, type Control } from 'react-hook-form';
import { StyleSheet, View } from 'react-native';
import { Card } from '../../kit/Card';
import { Press } from '../../kit/Press';
import { SPACE } from '../../kit/tokens';
import { Heading } from '../../kit/Words';
import { words } from '../../words/en';
import { capital } from '../../words/show';
import { FormCheck, FormChoice, FormField } from '../../controls/FormFields';
import { unitOfField, type VehicleForm } from './vehicleForm';

interface SpecProps {
  readonly control: Control<VehicleForm>;
}

/** What the maker says of this vehicle: it overrides the general limits and fills the sums of the walk. */
export function SpecFields({ control }: SpecProps) {
  const volume = unitOfField('capacityL') ?? 'L';
  return (
    <>
      <Card>
        <Heading level={2}>Spec sheet</Heading>
        <FormChoice
          control={control}
          name="spec.systemVolts"
          label="Electrical system"
          options={['12', '24']}
          word={(one) => `${one} V`}
        />
        <FormChoice
          control={control}
          name="spec.battery.type"
          label="Battery"
          options={BATTERY_TYPES}
          word={(one) => words.battery[one]}
        />
        <FormField
          control={control}
          name="spec.battery.ratedA"
          label="Rated cranking current, A"
          allowed="Over 0 to 3000 A with its standard, or empty."
          figures
        />
        <FormChoice
          control={control}
          name="spec.battery.standard"
          label="Rated by (together with the current)"
          options={['', ...CRANK_STANDARDS]}
          word={(one) => one || 'not known'}
        />
        <FormCheck control={control} name="spec.smartCharging" label="Smart charging" />
        <FormChoice
          control={control}
          name="spec.brakeFluid"
          label="Brake fluid"
          options={['', ...BRAKE_FLUID_GRADES]}
          word={(one) => one || 'not known'}
        />
        <FormField
          control={control}
          name="spec.stickSpanL"
          label={`Between the marks of the oil stick, ${volume}`}
          allowed={`Over 0 to 20 L, or empty.`}
          figures
        />
        <FormChoice
          control={control}
          name="spec.studs"
          label="Studs per wheel"
          options={['', ...STUD_COUNTS.map(String)]}
          word={(one) => one || 'not known'}
        />
        <FormCheck control={control} name="spec.hardUse" label="Hard use: short trips, dust, towing" />
      </Card>
      <FluidRows control={control} />
      <TorqueRows control={control} />
      <IntervalRows control={control} />
      <PartRows control={control} />
    </>
  );
}

interface RowsProps {
  readonly title: string;
  readonly add: string;
  readonly onAdd: () => void;
  readonly rows: readonly {
    readonly id: string;
    readonly fields: ReactNode;
    readonly onTakeOut: () => void;
    readonly name: string;
  }[];
}

/** A list of the spec sheet: rows to fill in, one more, one less. */
function Rows({ title, add, onAdd, rows }: RowsProps) {
  return (
    <Card>
      <Heading level={2}>{title}</Heading>
      {rows.map(({ id, fields, onTakeOut, name }) => (
        <View key={id} style={styles.row}>
          {fields}
          <Press label="Take out" hint={`Take out ${name}`} onPress={onTakeOut} style={styles.aside} />
        </View>
      ))}
      <Press label={add} onPress={onAdd} style={styles.aside} />
    </Card>
  );
}

function FluidRows({ control }: SpecProps) {
  const { fields, append, remove } = useFieldArray({ control, name: 'spec.fluids' });
  const left = SPEC_FLUIDS.find((fluid) => !fields.some((field) => field.fluid === fluid));
  const volume = unitOfField('capacityL') ?? 'L';
  return (
    <Rows
      title="Fluids"
      add="Add a fluid"
      onAdd={() => left && append({ fluid: left, grade: '', capacityL: '' })}
      rows={fields.map((field, index) => ({
        id: field.id,
        name: `fluid ${index + 1}`,
        onTakeOut: () => remove(index),
        fields: (
          <>
            <FormChoice
              control={control}
              name={`spec.fluids.${index}.fluid`}
              label={`Fluid ${index + 1}`}
              options={SPEC_FLUIDS}
              word={(one) => capital(one.replaceAll('-', ' '))}
            />
            <FormField
              control={control}
              name={`spec.fluids.${index}.grade`}
              label={`Grade of fluid ${index + 1}`}
              allowed="At most sixty characters."
            />
            <FormField
              control={control}
              name={`spec.fluids.${index}.capacityL`}
              label={`Capacity of fluid ${index + 1}, ${volume}`}
              allowed="Over 0 to 400 L, or empty."
              figures
            />
          </>
        ),
      }))}
    />
  );
}

function TorqueRows({ control }: SpecProps) {
  const { fields, append, remove } = useFieldArray({ control, name: 'spec.torques' });
  const left = FASTENERS.find((fastener) => !fields.some((field) => field.fastener === fastener));
  const torque = unitOfField('newtonMetres') ?? 'N·m';
  return (
    <Rows
      title="Torques and sockets"
      add="Add a torque"
      onAdd={() => left && append({ fastener: left, newtonMetres: '', socket: '' })}
      rows={fields.map((field, index) => ({
        id: field.id,
        name: `torque ${index + 1}`,
        onTakeOut: () => remove(index),
        fields: (
          <>
            <FormChoice
              control={control}
              name={`spec.torques.${index}.fastener`}
              label={`Fastener ${index + 1}`}
              options={FASTENERS}
              word={(one) => capital(one.replaceAll('-', ' '))}
            />
            <FormField
              control={control}
              name={`spec.torques.${index}.newtonMetres`}
              label={`Torque ${index + 1}, ${torque}`}
              allowed="Over 0 to 2000 N·m."
              figures
            />
            <FormField
              control={control}
              name={`spec.torques.${index}.socket`}
              label={`Socket ${index + 1}`}
              allowed="At most thirty characters."
            />
          </>
        ),
      }))}
    />
  );
}

function IntervalRows({ control }: SpecProps) {
  const { fields, append, remove } = useFieldArray({ control, name: 'spec.intervals' });
  const distance = unitOfField('km') ?? 'km';
  return (
    <Rows
      title="Intervals"
      add="Add an interval"
      onAdd={() => append({ job: { code: 'engine-oil', name: '' }, km: '', months: '', hours: '' })}
      rows={fields.map((field, index) => ({
        id: field.id,
        name: `interval ${index + 1}`,
        onTakeOut: () => remove(index),
        fields: (
          <>
            <FormChoice
              control={control}
              name={`spec.intervals.${index}.job.code`}
              label={`Job ${index + 1}`}
              options={JOB_CODES}
              word={(one) => words.job[one]}
            />
            <FormField
              control={control}
              name={`spec.intervals.${index}.job.name`}
              label={`In your words (${index + 1})`}
              allowed="One to eighty characters for a job of your own; else it may stay empty."
            />
            <FormField
              control={control}
              name={`spec.intervals.${index}.km`}
              label={`Every, ${distance} (${index + 1})`}
              allowed="Over 0, or empty."
              figures
            />
            <FormField
              control={control}
              name={`spec.intervals.${index}.months`}
              label={`Every, months (${index + 1})`}
              allowed="1 to 240 months, or empty."
              figures
            />
            <FormField
              control={control}
              name={`spec.intervals.${index}.hours`}
              label={`Every, hours (${index + 1})`}
              allowed="Over 0, or empty."
              figures
            />
          </>
        ),
      }))}
    />
  );
}

function PartRows({ control }: SpecProps) {
  const { fields, append, remove } = useFieldArray({ control, name: 'spec.parts' });
  return (
    <Rows
      title="Part numbers"
      add="Add a part number"
      onAdd={() => append({ part: '', number: '' })}
      rows={fields.map((field, index) => ({
        id: field.id,
        name: `part ${index + 1}`,
        onTakeOut: () => remove(index),
        fields: (
          <>
            <FormField
              control={control}
              name={`spec.parts.${index}.part`}
              label={`Part ${index + 1}`}
              allowed="One to sixty characters."
            />
            <FormField
              control={control}
              name={`spec.parts.${index}.number`}
              label={`Number ${index + 1}`}
              allowed="One to sixty characters."
            />
          </>
        ),
      }))}
    />
  );
}

const styles = StyleSheet.create({
  row: { gap: SPACE.s, paddingBottom: SPACE.m },
  aside: { alignSelf: 'flex-start' },
});
