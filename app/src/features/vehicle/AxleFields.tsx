import { PLAIN_AXLE } from '@weskopos/core';
import { useFieldArray, type Control } from 'react-hook-form';
import { StyleSheet, View } from 'react-native';
import { Card } from '../../kit/Card';
import { Press } from '../../kit/Press';
import { SPACE } from '../../kit/tokens';
import { Heading } from '../../kit/Words';
import { figureIn } from '@weskopos/words/show';
import { FormCheck, FormChoice, FormField } from '../../controls/FormFields';
import { unitOfField, type Typed, type VehicleForm } from './vehicleForm';
import { vehicle as say } from '@weskopos/words/en/pages/vehicle';
import { common } from '@weskopos/words/en/pages/common';

const MOST_AXLES = 4;
const BLANK: VehicleForm['axles'][number] = {
  ...PLAIN_AXLE,
  placardKpa: '',
  placardFullKpa: '',
  discMinimumMm: '',
  liningNewMm: '',
  suspension: '',
} satisfies Typed<typeof PLAIN_AXLE>;

/** Every axle from the front: wheels, brakes, placard for light and full load, disc minimum, new lining, tyre size. */
export function AxleFields({ control }: { readonly control: Control<VehicleForm> }) {
  const { fields, append, remove } = useFieldArray({ control, name: 'axles' });
  const pressure = unitOfField('placardKpa') ?? 'kPa';
  const range = say.toOrEmpty(figureIn(pressure, 50), figureIn(pressure, 1200), pressure);
  return (
    <>
      {fields.map((field, index) => {
        const name = axleName(index, fields.length);
        return (
          <Card key={field.id}>
            <Heading level={2}>{say.axle(name)}</Heading>
            <View style={styles.row}>
              <FormCheck control={control} name={`axles.${index}.dual`} label={say.dualWheels} />
              <FormCheck control={control} name={`axles.${index}.steered`} label={say.steered} />
              <FormCheck control={control} name={`axles.${index}.driven`} label={say.driven} />
            </View>
            <FormChoice
              control={control}
              name={`axles.${index}.brake`}
              label={`Brakes, ${name.toLowerCase()}`}
              options={['disc', 'drum'] as const}
              word={(one) => (one === 'disc' ? common.disc : say.drum)}
            />
            <FormChoice
              control={control}
              name={`axles.${index}.suspension`}
              label={say.suspension(name.toLowerCase())}
              options={['', 'independent', 'rigid']}
              word={(one) => say.suspensionKind[one]}
            />
            <FormField
              control={control}
              name={`axles.${index}.placardKpa`}
              label={say.placardPressure(name.toLowerCase(), pressure)}
              allowed={range}
              figures
            />
            <FormField
              control={control}
              name={`axles.${index}.placardFullKpa`}
              label={say.atFullLoad(name.toLowerCase(), pressure)}
              allowed={range}
              figures
            />
            <FormField
              control={control}
              name={`axles.${index}.discMinimumMm`}
              label={say.discMinimumMm(name.toLowerCase())}
              allowed={say.discRange}
              figures
            />
            <FormField
              control={control}
              name={`axles.${index}.liningNewMm`}
              label={say.newLiningMm(name.toLowerCase())}
              allowed={say.freshRange}
              figures
            />
            <FormField
              control={control}
              name={`axles.${index}.tyreSize`}
              label={say.tyreSize(name.toLowerCase())}
              allowed={say.atMostThirtyCharacters}
            />
            {fields.length > 1 ? (
              <Press label={say.takeThisAxleOut} onPress={() => remove(index)} style={styles.aside} />
            ) : null}
          </Card>
        );
      })}
      {fields.length < MOST_AXLES ? (
        <Press label={say.addAnAxle} onPress={() => append(BLANK)} style={styles.aside} />
      ) : null}
    </>
  );
}

function axleName(index: number, of: number): string {
  if (index === 0) return say.front;
  return index === of - 1 ? say.rear : say.axleNumber(index + 1);
}

const styles = StyleSheet.create({
  row: { flexDirection: 'row', flexWrap: 'wrap', gap: SPACE.s },
  aside: { alignSelf: 'flex-start' },
});
