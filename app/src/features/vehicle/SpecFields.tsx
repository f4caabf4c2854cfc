import {
  BATTERY_TYPES,
  BRAKE_FLUID_GRADES,
  CRANK_STANDARDS,
  FASTENERS,
  JOB_CODES,
  SPEC_FLUIDS,
  STUD_COUNTS,
} from '@weskopos/core';
import { useFieldArray, type Control } from 'react-hook-form';
import { StyleSheet, View } from 'react-native';
import { Card } from '../../kit/Card';
import { Press } from '../../kit/Press';
import { SPACE } from '../../kit/tokens';
import { Heading } from '../../kit/Words';
import { words } from '@weskopos/words/en';
import { capital } from '@weskopos/words/show';
import { FormCheck, FormChoice, FormField } from '../../controls/FormFields';
import { Rows } from './Rows';
import { DashCodeRows, PivotRows } from './SpecExtras';
import { unitOfField, type VehicleForm } from './vehicleForm';
import { vehicle as say } from '@weskopos/words/en/pages/vehicle';
import { common } from '@weskopos/words/en/pages/common';

interface SpecProps {
  readonly control: Control<VehicleForm>;
}

/** What the maker says of this vehicle: it overrides the general limits and fills the sums of the walk. */
export function SpecFields({ control }: SpecProps) {
  const volume = unitOfField('capacityL') ?? 'L';
  return (
    <>
      <Card>
        <Heading level={2}>{say.specSheet}</Heading>
        <FormChoice
          control={control}
          name="spec.systemVolts"
          label={say.electricalSystem}
          options={['12', '24']}
          word={(one) => `${one} V`}
        />
        <FormChoice
          control={control}
          name="spec.battery.type"
          label={common.battery}
          options={BATTERY_TYPES}
          word={(one) => words.battery[one]}
        />
        <FormField
          control={control}
          name="spec.battery.ratedA"
          label={say.ratedCrankingCurrentA}
          allowed={say.over0To3000A}
          figures
        />
        <FormChoice
          control={control}
          name="spec.battery.standard"
          label={say.ratedByTogetherWithThe}
          options={['', ...CRANK_STANDARDS]}
          word={(one) => one || common.notKnown}
        />
        <FormCheck control={control} name="spec.smartCharging" label={say.smartCharging} />
        <FormChoice
          control={control}
          name="spec.brakeFluid"
          label={say.brakeFluid}
          options={['', ...BRAKE_FLUID_GRADES]}
          word={(one) => one || common.notKnown}
        />
        <FormField
          control={control}
          name="spec.stickSpanL"
          label={say.betweenTheMarksOfThe(volume)}
          allowed={say.over0To20L}
          figures
        />
        <FormChoice
          control={control}
          name="spec.studs"
          label={say.studsPerWheel}
          options={['', ...STUD_COUNTS.map(String)]}
          word={(one) => one || common.notKnown}
        />
        <FormCheck control={control} name="spec.hardUse" label={say.hardUseShortTripsDust} />
        <FormChoice
          control={control}
          name="spec.stickWhileFilling"
          label={say.stickWhileFilling}
          options={['', 'in', 'out']}
          word={(one) => (one === '' ? common.notKnown : say.stick[one])}
        />
        <FormField
          control={control}
          name="spec.filterThread"
          label={say.filterThread}
          allowed={say.atMostThirtyCharacters}
        />
        <FormField
          control={control}
          name="spec.filterSeal"
          label={say.filterSeal}
          allowed={say.atMostThirtyCharacters}
        />
        <FormField
          control={control}
          name="spec.keyCodePlace"
          label={say.keyCodePlace}
          allowed={say.atMostHundredTwentyCharacters}
        />
      </Card>
      <FluidRows control={control} />
      <TorqueRows control={control} />
      <IntervalRows control={control} />
      <PartRows control={control} />
      <PivotRows control={control} />
      <DashCodeRows control={control} />
    </>
  );
}

function FluidRows({ control }: SpecProps) {
  const { fields, append, remove } = useFieldArray({ control, name: 'spec.fluids' });
  const left = SPEC_FLUIDS.find((fluid) => !fields.some((field) => field.fluid === fluid));
  const volume = unitOfField('capacityL') ?? 'L';
  return (
    <Rows
      title={say.fluids}
      add={say.addAFluid}
      onAdd={() => left && append({ fluid: left, grade: '', capacityL: '', spanL: '', mark: '', climates: [] })}
      rows={fields.map((field, index) => ({
        id: field.id,
        name: say.fluid(index + 1),
        onTakeOut: () => remove(index),
        fields: (
          <>
            <FormChoice
              control={control}
              name={`spec.fluids.${index}.fluid`}
              label={say.fluidNumber(index + 1)}
              options={SPEC_FLUIDS}
              word={(one) => capital(one.replaceAll('-', ' '))}
            />
            <FormField
              control={control}
              name={`spec.fluids.${index}.grade`}
              label={say.gradeOfFluid(index + 1)}
              allowed={say.atMostSixtyCharacters}
            />
            <FormField
              control={control}
              name={`spec.fluids.${index}.capacityL`}
              label={say.capacityOfFluid(index + 1, volume)}
              allowed={say.over0To400L}
              figures
            />
            <FormField
              control={control}
              name={`spec.fluids.${index}.spanL`}
              label={say.spanOfFluid(index + 1, volume)}
              allowed={say.over0To20L}
              figures
            />
            <FormField
              control={control}
              name={`spec.fluids.${index}.mark`}
              label={say.markOfFluid(index + 1)}
              allowed={say.atMostHundredTwentyCharacters}
            />
            <ClimateRows control={control} fluid={index} />
          </>
        ),
      }))}
    />
  );
}

/** Other grades of one fluid, by the weather the vehicle works in. */
function ClimateRows({ control, fluid }: SpecProps & { readonly fluid: number }) {
  const { fields, append, remove } = useFieldArray({ control, name: `spec.fluids.${fluid}.climates` });
  const unit = unitOfField('lowestC') ?? '°C';
  const name = (index: number) => `${fluid + 1}.${index + 1}`;
  return (
    <>
      {fields.map((field, index) => (
        <View key={field.id} style={styles.row}>
          <FormField
            control={control}
            name={`spec.fluids.${fluid}.climates.${index}.grade`}
            label={say.gradeByWeather(name(index))}
            allowed={common.oneToSixtyCharacters}
          />
          <FormField
            control={control}
            name={`spec.fluids.${fluid}.climates.${index}.lowestC`}
            label={say.fromTemperature(name(index), unit)}
            allowed={say.temperatureAllowed}
            figures
          />
          <FormField
            control={control}
            name={`spec.fluids.${fluid}.climates.${index}.highestC`}
            label={say.toTemperature(name(index), unit)}
            allowed={say.temperatureAllowed}
            figures
          />
          <Press
            label={common.takeOut}
            hint={say.takeOut(say.gradeByWeather(name(index)))}
            onPress={() => remove(index)}
            style={styles.aside}
          />
        </View>
      ))}
      <Press
        label={say.addAGradeByWeather(fluid + 1)}
        onPress={() => append({ grade: '', lowestC: '', highestC: '' })}
        style={styles.aside}
      />
    </>
  );
}

function TorqueRows({ control }: SpecProps) {
  const { fields, append, remove } = useFieldArray({ control, name: 'spec.torques' });
  const left = FASTENERS.find((fastener) => !fields.some((field) => field.fastener === fastener));
  const torque = unitOfField('newtonMetres') ?? 'N·m';
  return (
    <Rows
      title={say.torquesAndSockets}
      add={say.addATorque}
      onAdd={() =>
        left && append({ fastener: left, newtonMetres: '', socket: '', angleDeg: '', stagesNm: '', renew: false })
      }
      rows={fields.map((field, index) => ({
        id: field.id,
        name: say.torque(index + 1),
        onTakeOut: () => remove(index),
        fields: (
          <>
            <FormChoice
              control={control}
              name={`spec.torques.${index}.fastener`}
              label={say.fastener(index + 1)}
              options={FASTENERS}
              word={(one) => capital(one.replaceAll('-', ' '))}
            />
            <FormField
              control={control}
              name={`spec.torques.${index}.newtonMetres`}
              label={say.torqueNumber(index + 1, torque)}
              allowed={say.over0To2000N}
              figures
            />
            <FormField
              control={control}
              name={`spec.torques.${index}.socket`}
              label={say.socket(index + 1)}
              allowed={say.atMostThirtyCharacters}
            />
            <FormField
              control={control}
              name={`spec.torques.${index}.angleDeg`}
              label={say.angle(index + 1)}
              allowed={say.over0To720}
              figures
            />
            <FormField
              control={control}
              name={`spec.torques.${index}.stagesNm`}
              label={say.stagesBefore(index + 1, torque)}
              allowed={say.stagesAllowed}
            />
            <FormCheck control={control} name={`spec.torques.${index}.renew`} label={say.renewedEachTime(index + 1)} />
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
      title={say.intervals}
      add={say.addAnInterval}
      onAdd={() => append({ job: { code: 'engine-oil', name: '' }, km: '', months: '', hours: '' })}
      rows={fields.map((field, index) => ({
        id: field.id,
        name: say.interval(index + 1),
        onTakeOut: () => remove(index),
        fields: (
          <>
            <FormChoice
              control={control}
              name={`spec.intervals.${index}.job.code`}
              label={say.jobNumber(index + 1)}
              options={JOB_CODES}
              word={(one) => words.job[one]}
            />
            <FormField
              control={control}
              name={`spec.intervals.${index}.job.name`}
              label={say.inYourWords(index + 1)}
              allowed={say.oneToEightyCharactersFor}
            />
            <FormField
              control={control}
              name={`spec.intervals.${index}.km`}
              label={`Every, ${distance} (${index + 1})`}
              allowed={say.over0OrEmpty}
              figures
            />
            <FormField
              control={control}
              name={`spec.intervals.${index}.months`}
              label={say.everyMonths(index + 1)}
              allowed={say.monthsRange}
              figures
            />
            <FormField
              control={control}
              name={`spec.intervals.${index}.hours`}
              label={say.everyHours(index + 1)}
              allowed={say.over0OrEmpty}
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
      title={say.partNumbers}
      add={say.addAPartNumber}
      onAdd={() => append({ part: '', number: '' })}
      rows={fields.map((field, index) => ({
        id: field.id,
        name: say.part(index + 1),
        onTakeOut: () => remove(index),
        fields: (
          <>
            <FormField
              control={control}
              name={`spec.parts.${index}.part`}
              label={say.partNumber(index + 1)}
              allowed={common.oneToSixtyCharacters}
            />
            <FormField
              control={control}
              name={`spec.parts.${index}.number`}
              label={say.number(index + 1)}
              allowed={common.oneToSixtyCharacters}
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
