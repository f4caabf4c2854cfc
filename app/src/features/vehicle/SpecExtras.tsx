import { useFieldArray, type Control } from 'react-hook-form';
import { FormField } from '../../controls/FormFields';
import { vehicle as say } from '@weskopos/words/en/pages/vehicle';
import { common } from '@weskopos/words/en/pages/common';
import { Rows } from './Rows';
import type { VehicleForm } from './vehicleForm';

interface SpecProps {
  readonly control: Control<VehicleForm>;
}

/** What is greased, for machines that are. */
export function PivotRows({ control }: SpecProps) {
  const { fields, append, remove } = useFieldArray({ control, name: 'spec.pivots' });
  return (
    <Rows
      title={say.pivots}
      add={say.addAPivot}
      onAdd={() => append({ name: '', nipples: '1', everyHours: '' })}
      rows={fields.map((field, index) => ({
        id: field.id,
        name: say.pivot(index + 1),
        onTakeOut: () => remove(index),
        fields: (
          <>
            <FormField
              control={control}
              name={`spec.pivots.${index}.name`}
              label={say.pivot(index + 1)}
              allowed={common.oneToSixtyCharacters}
            />
            <FormField
              control={control}
              name={`spec.pivots.${index}.nipples`}
              label={say.nipples(index + 1)}
              allowed={say.nipplesAllowed}
              figures
            />
            <FormField
              control={control}
              name={`spec.pivots.${index}.everyHours`}
              label={say.pivotHours(index + 1)}
              allowed={say.over0OrEmpty}
              figures
            />
          </>
        ),
      }))}
    />
  );
}

/** What the dash says by itself when something falls due. */
export function DashCodeRows({ control }: SpecProps) {
  const { fields, append, remove } = useFieldArray({ control, name: 'spec.dashCodes' });
  return (
    <Rows
      title={say.dashCodes}
      add={say.addADashCode}
      onAdd={() => append({ code: '', means: '' })}
      rows={fields.map((field, index) => ({
        id: field.id,
        name: say.dashCode(index + 1),
        onTakeOut: () => remove(index),
        fields: (
          <>
            <FormField
              control={control}
              name={`spec.dashCodes.${index}.code`}
              label={say.dashCode(index + 1)}
              allowed={say.oneToTwelveCharacters}
            />
            <FormField
              control={control}
              name={`spec.dashCodes.${index}.means`}
              label={say.dashCodeMeans(index + 1)}
              allowed={say.oneToHundredTwentyCharacters}
            />
          </>
        ),
      }))}
    />
  );
}
