import { BODIES, DRIVES, ENGINE_PLACES, GEARBOXES, POWERS, STEERINGS } from '@weskopos/core';
import type { Control } from 'react-hook-form';
import { StyleSheet, View } from 'react-native';
import { Card } from '../../kit/Card';
import { SPACE } from '../../kit/tokens';
import { Heading, Words } from '../../kit/Words';
import { words } from '@weskopos/words/en';
import { FormCheck, FormChoice } from '../../controls/FormFields';
import type { VehicleForm } from './vehicleForm';
import { vehicle as say } from '@weskopos/words/en/pages/vehicle';
import { common } from '@weskopos/words/en/pages/common';

const HAS = [
  ['makeUp.spareWheel', say.spareWheel],
  ['makeUp.timingBelt', say.timingBelt],
  ['makeUp.hydraulicClutch', say.hydraulicClutch],
  ['makeUp.urea', say.ureaSolution],
  ['makeUp.towbar', say.towbar],
  ['makeUp.passengerLift', say.passengerLift],
  ['makeUp.winterTyres', say.winterMarkedTyres],
] as const;

/** How a vehicle is made, as far as it decides which points it has. */
export function MakeUpFields({ control }: { readonly control: Control<VehicleForm> }) {
  const choices = [
    ['makeUp.power', say.drivenBy, POWERS],
    ['makeUp.enginePlace', say.engineIs, ENGINE_PLACES],
    ['makeUp.drive', common.drivenWheels, DRIVES],
    ['makeUp.gearbox', say.gearbox, GEARBOXES],
    ['makeUp.steering', say.steering, STEERINGS],
  ] as const;
  return (
    <Card>
      <Heading level={2}>{say.howItIsMade}</Heading>
      <Words size="m" soft>
        {say.anInspectionLeavesOutWhat}
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
      <FormChoice
        control={control}
        name="makeUp.body"
        label={say.builtAs}
        options={['', ...BODIES]}
        word={(one) => (one === '' ? say.usualBody : words.body[one])}
      />
      <FormChoice
        control={control}
        name="makeUp.driverSide"
        label={say.driverSitsOn}
        options={['', 'L', 'R']}
        word={(one) => say.driverSide[one]}
      />
      <View style={styles.row}>
        {HAS.map(([name, label]) => (
          <FormCheck key={name} control={control} name={name} label={label} />
        ))}
      </View>
    </Card>
  );
}

const styles = StyleSheet.create({ row: { flexDirection: 'row', flexWrap: 'wrap', gap: SPACE.s } });
