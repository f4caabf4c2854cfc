import { zodResolver } from '@hookform/resolvers/zod';
import { METER_UNITS, VEHICLE_CLASSES, type Vehicle } from '@weskopos/core';
import { useLocalSearchParams, useRouter } from 'expo-router';
import { useState } from 'react';
import { useForm } from 'react-hook-form';
import { Card } from '../../kit/Card';
import { Page } from '../../shell/Page';
import { Press } from '../../kit/Press';
import { Heading, Words } from '../../kit/Words';
import { useLife } from '../../sync/useLife';
import { record } from '../../sync/workshop';
import { words } from '@weskopos/words/en';
import { FormChoice, FormField } from '../../controls/FormFields';
import { NotHere } from '../../shell/NotHere';
import { AxleFields } from './AxleFields';
import { MakeUpFields } from './MakeUpFields';
import { SpecFields } from './SpecFields';
import { blankVehicle, formOf, vehicleFormSchema, type VehicleForm } from './vehicleForm';
import { vehicle as say } from '@weskopos/words/en/pages/vehicle';
import { common } from '@weskopos/words/en/pages/common';

/** A new vehicle, or one that is known: what it is, how it is made, and its spec sheet. */
export function VehicleEditor() {
  const { id } = useLocalSearchParams<{ id?: string }>();
  const life = useLife(id ?? '');
  const [fresh] = useState(() => blankVehicle(crypto.randomUUID()));
  if (id && !life) return <NotHere />;
  return <Editor vehicle={life?.vehicle ?? fresh} known={life !== undefined} />;
}

function Editor({ vehicle, known }: { readonly vehicle: Vehicle; readonly known: boolean }) {
  const router = useRouter();
  const form = useForm<VehicleForm>({
    resolver: zodResolver(vehicleFormSchema, undefined, { raw: true }),
    defaultValues: formOf(vehicle),
  });
  const { control } = form;
  const [missed, setMissed] = useState(false);
  const save = form.handleSubmit(
    async (typed) => {
      const body = vehicleFormSchema.parse(typed);
      await record({ kind: 'vehicle.put', body });
      router.replace(`/vehicle/${body.id}`);
    },
    () => setMissed(true),
  );
  return (
    <Page
      title={known ? common.vehicleAndSpec : common.addAVehicle}
      {...(known ? { over: vehicle.fleetCode } : {})}
      foot={<Press kind="main" label={say.save} onPress={() => void save()} style={{ flex: 1 }} />}
    >
      {missed && !form.formState.isValid && form.formState.isSubmitted ? (
        <Words role="alert">{say.somethingIsNotRightBelow}</Words>
      ) : null}
      <Card>
        <Heading level={2}>{say.whatItIs}</Heading>
        <FormField control={control} name="fleetCode" label={say.fleetCode} allowed={say.oneToTwentyCharactersE} />
        <FormField control={control} name="plate" label={say.plate} allowed={say.atMostTwentyCharacters} />
        <FormField control={control} name="vin" label={say.vin} allowed={say.atMostTwentyCharacters} />
        <FormField control={control} name="make" label={say.make} allowed={say.atMostFortyCharacters} />
        <FormField control={control} name="model" label={say.model} allowed={say.atMostSixtyCharacters} />
        <FormField control={control} name="year" label={say.year} allowed={say.aYearFrom1900To} figures />
        <FormField control={control} name="use" label={say.use} allowed={say.atMostEightyCharactersE} />
        <FormChoice
          control={control}
          name="class"
          label={say.classItDecidesTheLaws}
          options={VEHICLE_CLASSES}
          word={(one) => words.vehicleClass[one]}
        />
        <FormChoice
          control={control}
          name="meterUnit"
          label={common.meter}
          options={METER_UNITS}
          word={(one) => (one === 'km' ? say.odometer : say.hourMeter)}
        />
      </Card>
      <MakeUpFields control={control} />
      <AxleFields control={control} />
      <SpecFields control={control} />
    </Page>
  );
}
