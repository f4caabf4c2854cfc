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
import { words } from '../../words/en';
import { FormChoice, FormField } from '../../controls/FormFields';
import { NotHere } from '../../shell/NotHere';
import { AxleFields } from './AxleFields';
import { MakeUpFields } from './MakeUpFields';
import { SpecFields } from './SpecFields';
import { blankVehicle, formOf, vehicleFormSchema, type VehicleForm } from './vehicleForm';

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
      title={known ? 'Vehicle and spec' : 'Add a vehicle'}
      {...(known ? { over: vehicle.fleetCode } : {})}
      back={known ? `/vehicle/${vehicle.id}` : '/'}
      foot={<Press kind="main" label="Save" onPress={() => void save()} style={{ flex: 1 }} />}
    >
      {missed && !form.formState.isValid && form.formState.isSubmitted ? (
        <Words role="alert">Something is not right below; what was typed is still there.</Words>
      ) : null}
      <Card>
        <Heading level={2}>What it is</Heading>
        <FormField
          control={control}
          name="fleetCode"
          label="Fleet code"
          allowed="One to twenty characters, e.g. FH 07."
        />
        <FormField control={control} name="plate" label="Plate" allowed="At most twenty characters." />
        <FormField control={control} name="vin" label="VIN" allowed="At most twenty characters." />
        <FormField control={control} name="make" label="Make" allowed="At most forty characters." />
        <FormField control={control} name="model" label="Model" allowed="At most sixty characters." />
        <FormField control={control} name="year" label="Year" allowed="A year from 1900 to 2100." figures />
        <FormField control={control} name="use" label="Use" allowed="At most eighty characters, e.g. quarry road." />
        <FormChoice
          control={control}
          name="class"
          label="Class (it decides the law’s limits)"
          options={VEHICLE_CLASSES}
          word={(one) => words.vehicleClass[one]}
        />
        <FormChoice
          control={control}
          name="meterUnit"
          label="Meter"
          options={METER_UNITS}
          word={(one) => (one === 'km' ? 'Odometer' : 'Hour meter')}
        />
      </Card>
      <MakeUpFields control={control} />
      <AxleFields control={control} />
      <SpecFields control={control} />
    </Page>
  );
}
