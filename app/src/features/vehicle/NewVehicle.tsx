import { zodResolver } from '@hookform/resolvers/zod';
import { VEHICLE_CLASSES, type Vehicle } from '@weskopos/core';
import { useRouter } from 'expo-router';
import { Controller, useForm, type Control } from 'react-hook-form';
import { z } from 'zod';
import { Choice } from '../../kit/Choice';
import { Field } from '../../kit/Field';
import { Page } from '../../kit/Page';
import { Press } from '../../kit/Press';
import { record } from '../../sync/workshop';
import { words } from '../../words/en';

const LATEST_YEAR = 2100;

/** What is typed, before it becomes a vehicle. */
const formSchema = z.object({
  fleetCode: z.string().trim().min(1).max(20),
  plate: z.string().trim().max(20),
  make: z.string().trim().max(40),
  model: z.string().trim().max(60),
  year: z.coerce.number().int().min(1900).max(LATEST_YEAR),
  use: z.string().trim().max(80),
  class: z.enum(VEHICLE_CLASSES),
  rear: z.enum(['single', 'dual']),
  brake: z.enum(['disc', 'drum']),
  frontKpa: z.union([z.literal(''), z.coerce.number().min(50).max(1200)]),
  rearKpa: z.union([z.literal(''), z.coerce.number().min(50).max(1200)]),
});
type FormInput = z.input<typeof formSchema>;

const TEXTS: readonly {
  readonly name: 'fleetCode' | 'plate' | 'make' | 'model' | 'year' | 'use' | 'frontKpa' | 'rearKpa';
  readonly label: string;
  readonly allowed: string;
  readonly figures?: true;
}[] = [
  { name: 'fleetCode', label: 'Fleet code', allowed: 'One to twenty characters, e.g. FH 07.' },
  { name: 'plate', label: 'Plate', allowed: 'At most twenty characters.' },
  { name: 'make', label: 'Make', allowed: 'At most forty characters.' },
  { name: 'model', label: 'Model', allowed: 'At most sixty characters.' },
  { name: 'year', label: 'Year', allowed: 'A year from 1900 to 2100.', figures: true },
  { name: 'use', label: 'Use', allowed: 'At most eighty characters, e.g. quarry road.' },
  { name: 'frontKpa', label: 'Placard pressure front, kPa', allowed: '50 to 1200 kPa, or empty.', figures: true },
  { name: 'rearKpa', label: 'Placard pressure rear, kPa', allowed: '50 to 1200 kPa, or empty.', figures: true },
];

export function NewVehicle() {
  const router = useRouter();
  const form = useForm({
    resolver: zodResolver(formSchema),
    defaultValues: {
      fleetCode: '',
      plate: '',
      make: '',
      model: '',
      year: '',
      use: '',
      class: 'car',
      rear: 'single',
      brake: 'disc',
      frontKpa: '',
      rearKpa: '',
    } as FormInput,
  });
  const save = form.handleSubmit(async ({ rear, brake, frontKpa, rearKpa, ...sheet }) => {
    const vehicle: Vehicle = {
      ...sheet,
      id: crypto.randomUUID(),
      axles: [
        { dual: false, brake: 'disc', placardKpa: frontKpa === '' ? null : frontKpa },
        { dual: rear === 'dual', brake, placardKpa: rearKpa === '' ? null : rearKpa },
      ],
    };
    await record({ kind: 'vehicle.put', body: vehicle });
    router.replace(`/vehicle/${vehicle.id}`);
  });
  const control = form.control as unknown as Control<FormInput>;
  return (
    <Page
      title="Add a vehicle"
      back="/"
      foot={<Press kind="main" label="Save" onPress={() => void save()} style={{ flex: 1 }} />}
    >
      {TEXTS.map(({ name, label, allowed, figures }) => (
        <Controller
          key={name}
          control={control}
          name={name}
          render={({ field, fieldState }) => (
            <Field
              label={label}
              value={String(field.value)}
              onChangeText={field.onChange}
              onBlur={field.onBlur}
              inputMode={figures ? 'numeric' : 'text'}
              problem={fieldState.error && allowed}
            />
          )}
        />
      ))}
      <Controller
        control={control}
        name="class"
        render={({ field }) => (
          <Choice
            label="Class (it decides the law’s limits)"
            options={VEHICLE_CLASSES}
            word={(one) => words.vehicleClass[one]}
            value={field.value}
            onChoose={field.onChange}
          />
        )}
      />
      <Controller
        control={control}
        name="rear"
        render={({ field }) => (
          <Choice
            label="Rear wheels"
            options={['single', 'dual'] as const}
            word={(one) => one}
            value={field.value}
            onChoose={field.onChange}
          />
        )}
      />
      <Controller
        control={control}
        name="brake"
        render={({ field }) => (
          <Choice
            label="Rear brakes"
            options={['disc', 'drum'] as const}
            word={(one) => one}
            value={field.value}
            onChoose={field.onChange}
          />
        )}
      />
    </Page>
  );
}
