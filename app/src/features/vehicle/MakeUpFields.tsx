import { DRIVES, GEARBOXES, POWERS, STEERINGS } from '@weskopos/core';
import type { Control } from 'react-hook-form';
import { StyleSheet, View } from 'react-native';
import { Card } from '../../kit/Card';
import { SPACE } from '../../kit/tokens';
import { Heading, Words } from '../../kit/Words';
import { words } from '../../words/en';
import { FormCheck, FormChoice } from '../../controls/FormFields';
import type { VehicleForm } from './vehicleForm';

const HAS = [
  ['makeUp.spareWheel', 'Spare wheel'],
  ['makeUp.timingBelt', 'Timing belt'],
  ['makeUp.hydraulicClutch', 'Hydraulic clutch'],
  ['makeUp.urea', 'Urea solution'],
  ['makeUp.towbar', 'Towbar'],
  ['makeUp.passengerLift', 'Passenger lift'],
  ['makeUp.winterTyres', 'Winter-marked tyres'],
] as const;

/** How a vehicle is made, as far as it decides which points it has. */
export function MakeUpFields({ control }: { readonly control: Control<VehicleForm> }) {
  const choices = [
    ['makeUp.power', 'Driven by', POWERS],
    ['makeUp.drive', 'Driven wheels', DRIVES],
    ['makeUp.gearbox', 'Gearbox', GEARBOXES],
    ['makeUp.steering', 'Steering', STEERINGS],
  ] as const;
  return (
    <Card>
      <Heading level={2}>How it is made</Heading>
      <Words size="m" soft>
        An inspection leaves out what the vehicle does not have.
      </Words>
      {choices.map(([name, label, options]) => (
        <FormChoice
          key={name}
          control={control}
          name={name}
          label={label}
          options={options}
          word={(one) => words.makeUp[one] ?? one}
        />
      ))}
      <View style={styles.row}>
        {HAS.map(([name, label]) => (
          <FormCheck key={name} control={control} name={name} label={label} />
        ))}
      </View>
    </Card>
  );
}

const styles = StyleSheet.create({ row: { flexDirection: 'row', flexWrap: 'wrap', gap: SPACE.s } });
