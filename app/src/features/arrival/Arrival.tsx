import { ARRIVAL_STATES, LOADS, blankInspection, readable, vehicleState } from '@weskopos/core';
import type { Life } from '@weskopos/contract';
import { useLocalSearchParams, useRouter } from 'expo-router';
import { useWatch, type Control } from 'react-hook-form';
import { FormChoice, FormField } from '../../controls/FormFields';
import { useCheckedForm } from '../../controls/useCheckedForm';
import { Choice } from '../../kit/Choice';
import { Press } from '../../kit/Press';
import { Words } from '../../kit/Words';
import { NotHere } from '../../shell/NotHere';
import { Page } from '../../shell/Page';
import { nowIso } from '../../sync/clock';
import { useLife } from '../../sync/useLife';
import { record } from '../../sync/workshop';
import { words } from '../../words/en';
import { templateWords } from '../../words/show';
import {
  BLANK_ARRIVAL,
  FUEL_STEPS,
  arrivedWith,
  problemsOf,
  type ArrivalForm,
  type MeterFacts,
  stoodHours,
} from './arrivalForm';
import { CornerPhotos } from './CornerPhotos';
import { MeterFields } from './MeterFields';
import { StandsNote } from './StandsNote';
import { useOffered, type Offered } from './useOffered';

/** Who it is, how far it has come, what the keeper says, and in what state it stands. */
export function Arrival() {
  const { id } = useLocalSearchParams<{ id: string }>();
  const life = useLife(id);
  return life ? <Arriving life={life} /> : <NotHere />;
}

function Arriving({ life }: { readonly life: Life }) {
  const { vehicle } = life;
  const router = useRouter();
  const before = life.visits.at(-1)?.inspection;
  const last = before ? { meter: before.meter, at: before.startedAt } : null;
  const factsAt = (now: string): MeterFacts => ({ unit: vehicle.meterUnit, last, now });
  const form = useCheckedForm<ArrivalForm>(BLANK_ARRIVAL, (typed) => problemsOf(typed, factsAt(nowIso())));
  const { control } = form;
  const offered = useOffered(life, useWatch({ control, name: 'template' }));
  const begin = form.handleSubmit(async (typed) => {
    const { chosen, focus, pointCount, rulebook } = offered;
    if (!chosen || pointCount === 0 || !typed.state) return;
    const [visit, now] = [crypto.randomUUID(), nowIso()];
    const begun = { id: visit, vehicleId: vehicle.id, startedAt: now, state: typed.state, focus };
    const rules = { rulebook: rulebook.version, template: chosen.code };
    await record({
      kind: 'inspection.start',
      body: blankInspection({ ...begun, ...rules, ...arrivedWith(typed, factsAt(now)) }),
    });
    router.replace(`/vehicle/${vehicle.id}/visit/${visit}/gate`);
  });
  return (
    <Page
      title={words.arrival.title}
      over={`${vehicle.fleetCode} · ${vehicle.make} ${vehicle.model}`}
      back={`/vehicle/${vehicle.id}`}
      foot={<Press kind="main" label={words.arrival.begin} onPress={() => void begin()} style={{ flex: 1 }} />}
    >
      <MeterFields control={control} facts={factsAt(nowIso())} onTyped={() => form.setValue('answer', null)} />
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
    </Page>
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
