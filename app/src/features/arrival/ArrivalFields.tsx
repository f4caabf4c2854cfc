import { ARRIVAL_STATES, LOADS, readable, vehicleState, type Vehicle } from '@weskopos/core';
import { useWatch, type Control, type UseFormReturn } from 'react-hook-form';
import { FormChoice, FormField } from '../../controls/FormFields';
import { Choice } from '../../kit/Choice';
import { Words } from '../../kit/Words';
import { nowIso } from '../../sync/clock';
import { words } from '@weskopos/words/en';
import { templateWords } from '@weskopos/words/show';
import { FUEL_STEPS, stoodHours, type ArrivalForm, type MeterFacts } from './arrivalForm';
import { CornerPhotos } from './CornerPhotos';
import { MeterFields } from './MeterFields';
import { StandsNote } from './StandsNote';
import type { Offered } from './useOffered';

interface ArrivalFieldsProps {
  readonly form: UseFormReturn<ArrivalForm>;
  readonly vehicle: Vehicle;
  readonly facts: MeterFacts;
  readonly offered: Offered;
}

/** All that is said of a vehicle as it arrives. */
export function ArrivalFields({ form, vehicle, facts, offered }: ArrivalFieldsProps) {
  const { control } = form;
  return (
    <>
      <MeterFields control={control} facts={facts} onTyped={() => form.setValue('answer', null)} />
      <Standing control={control} hasTank={vehicle.makeUp.power !== 'electric'} />
      <OfferedFields control={control} offered={offered} onChoose={(code) => form.setValue('template', code)} />
      <FormField control={control} name="ambient" label={words.arrival.ambient} help={words.arrival.ambientHelp} />
      <FormField
        control={control}
        name="complaint"
        label={words.arrival.keeper}
        multiline
        maxLength={2000}
        placeholder={words.arrival.keeperHint}
      />
      <CornerPhotos
        photos={useWatch({ control, name: 'corners' })}
        onChange={(change) => form.setValue('corners', change(form.getValues('corners')))}
      />
    </>
  );
}

function Standing({ control, hasTank }: { readonly control: Control<ArrivalForm>; readonly hasTank: boolean }) {
  const state = useWatch({ control, name: 'state' });
  return (
    <>
      <FormChoice
        control={control}
        name="state"
        label={words.arrival.stands}
        options={ARRIVAL_STATES}
        word={(one) => words.state[one]}
      />
      {state !== null && state !== 'hot' ? (
        <FormField control={control} name="stood" label={words.arrival.stood} />
      ) : null}
      {hasTank ? (
        <FormChoice
          control={control}
          name="fuel"
          label={words.arrival.fuel}
          options={FUEL_STEPS}
          word={(one) => words.arrival.fuelStep[one]}
        />
      ) : null}
      <FormChoice
        control={control}
        name="load"
        label={words.arrival.loaded}
        options={LOADS}
        word={(one) => words.load[one]}
      />
    </>
  );
}

interface OfferedFieldsProps {
  readonly control: Control<ArrivalForm>;
  readonly offered: Offered;
  readonly onChoose: (code: string) => void;
}

/** Which inspection, how much it is, and what of it can be read as the vehicle stands. */
function OfferedFields({ control, offered: { offered, chosen, steps, pointCount }, onChoose }: OfferedFieldsProps) {
  const [state, stood] = useWatch({ control, name: ['state', 'stood'] });
  const now = nowIso();
  const points = steps.flatMap((step) => step.points);
  const [first] = steps;
  return (
    <>
      <Choice
        label={words.arrival.inspection}
        options={offered.map(({ code }) => code)}
        word={(code) => templateWords(offered.find((one) => one.code === code) ?? { code, name: '' })}
        value={chosen?.code ?? null}
        onChoose={onChoose}
      />
      {chosen && words.templateFor[chosen.code] ? (
        <Words size="m">{`${words.templateFor[chosen.code] ?? ''}.`}</Words>
      ) : null}
      <Words size="m" soft>
        {pointCount === 0
          ? words.arrival.nothingWatched
          : words.arrival.points(
              pointCount,
              chosen?.nothingCarried ?? false,
              first ? (words.stop[first.stop] ?? '').toLowerCase() : '',
            )}
      </Words>
      {state && pointCount > 0 ? (
        <StandsNote
          stands={readable(
            points,
            vehicleState({ state, stoodH: stoodHours(state, stood), startedAt: now }, [], Date.parse(now)),
          )}
        />
      ) : null}
    </>
  );
}
