import { PLAIN_AXLE } from '@weskopos/core';
import { useFieldArray, type Control } from 'react-hook-form';
import { StyleSheet, View } from 'react-native';
import { Card } from '../../kit/Card';
import { Press } from '../../kit/Press';
import { SPACE } from '../../kit/tokens';
import { Heading } from '../../kit/Words';
import { figureIn } from '../../words/show';
import { FormCheck, FormChoice, FormField } from '../../controls/FormFields';
import { unitOfField, type Typed, type VehicleForm } from './vehicleForm';

const MOST_AXLES = 4;
const BLANK: VehicleForm['axles'][number] = {
  ...PLAIN_AXLE,
  placardKpa: '',
  placardFullKpa: '',
  discMinimumMm: '',
  liningNewMm: '',
} satisfies Typed<typeof PLAIN_AXLE>;

/** Every axle from the front: wheels, brakes, placard for light and full load, disc minimum, new lining, tyre size. */
export function AxleFields({ control }: { readonly control: Control<VehicleForm> }) {
  const { fields, append, remove } = useFieldArray({ control, name: 'axles' });
  const pressure = unitOfField('placardKpa') ?? 'kPa';
  const range = `${figureIn(pressure, 50)} to ${figureIn(pressure, 1200)} ${pressure}, or empty.`;
  return (
    <>
      {fields.map((field, index) => {
        const name = axleName(index, fields.length);
        return (
          <Card key={field.id}>
            <Heading level={2}>{`${name} axle`}</Heading>
            <View style={styles.row}>
              <FormCheck control={control} name={`axles.${index}.dual`} label="Dual wheels" />
              <FormCheck control={control} name={`axles.${index}.steered`} label="Steered" />
              <FormCheck control={control} name={`axles.${index}.driven`} label="Driven" />
            </View>
            <FormChoice
              control={control}
              name={`axles.${index}.brake`}
              label={`Brakes, ${name.toLowerCase()}`}
              options={['disc', 'drum'] as const}
              word={(one) => (one === 'disc' ? 'Disc' : 'Drum')}
            />
            <FormField
              control={control}
              name={`axles.${index}.placardKpa`}
              label={`Placard pressure ${name.toLowerCase()}, ${pressure}`}
              allowed={range}
              figures
            />
            <FormField
              control={control}
              name={`axles.${index}.placardFullKpa`}
              label={`At full load ${name.toLowerCase()}, ${pressure}`}
              allowed={range}
              figures
            />
            <FormField
              control={control}
              name={`axles.${index}.discMinimumMm`}
              label={`Disc minimum ${name.toLowerCase()}, mm`}
              allowed="3 to 60 mm, or empty."
              figures
            />
            <FormField
              control={control}
              name={`axles.${index}.liningNewMm`}
              label={`New lining ${name.toLowerCase()}, mm`}
              allowed="3 to 30 mm, or empty."
              figures
            />
            <FormField
              control={control}
              name={`axles.${index}.tyreSize`}
              label={`Tyre size ${name.toLowerCase()}`}
              allowed="At most thirty characters."
            />
            {fields.length > 1 ? (
              <Press label="Take this axle out" onPress={() => remove(index)} style={styles.aside} />
            ) : null}
          </Card>
        );
      })}
      {fields.length < MOST_AXLES ? (
        <Press label="Add an axle" onPress={() => append(BLANK)} style={styles.aside} />
      ) : null}
    </>
  );
}

function axleName(index: number, of: number): string {
  if (index === 0) return 'Front';
  return index === of - 1 ? 'Rear' : `Axle ${index + 1}`;
}

const styles = StyleSheet.create({
  row: { flexDirection: 'row', flexWrap: 'wrap', gap: SPACE.s },
  aside: { alignSelf: 'flex-start' },
});
