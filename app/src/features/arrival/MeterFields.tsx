import type { MeterCheck } from '@weskopos/core';
import { useWatch, type Control } from 'react-hook-form';
import { FormChoice, FormField } from '../../controls/FormFields';
import { Card } from '../../kit/Card';
import { usePalette } from '../../kit/theme';
import { Label, Words } from '../../kit/Words';
import { words } from '@weskopos/words/en';
import { day, meterTypedUnit, meterWords } from '@weskopos/words/show';
import { meterName, readMeter, type ArrivalForm, type MeterFacts } from './arrivalForm';

interface MeterFieldsProps {
  readonly control: Control<ArrivalForm>;
  readonly facts: MeterFacts;
  readonly onTyped: () => void;
}

/** The meter beside its last reading; what is doubtful is asked about at once. */
export function MeterFields({ control, facts, onTyped }: MeterFieldsProps) {
  const { unit, last } = facts;
  const check = readMeter(useWatch({ control, name: 'meter' }), facts)?.check;
  return (
    <>
      <FormField
        control={control}
        name="meter"
        label={`${meterName(unit)}, ${meterTypedUnit(unit)}`}
        autoFocus
        onTyped={onTyped}
        help={last ? words.arrival.lastVisit(day(last.at), meterWords(last.meter, unit)) : words.arrival.firstVisit}
      />
      {check?.status === 'good' && check.since !== null ? (
        <Words soft>{words.arrival.since(meterWords(check.since, unit), Math.round(check.sinceDays ?? 0))}</Words>
      ) : null}
      {check?.status === 'doubtful' ? <Doubt control={control} check={check} unit={unit} /> : null}
    </>
  );
}

interface DoubtProps {
  readonly control: Control<ArrivalForm>;
  readonly check: Extract<MeterCheck, { status: 'doubtful' }>;
  readonly unit: MeterFacts['unit'];
}

function Doubt({ control, check, unit }: DoubtProps) {
  const palette = usePalette();
  const question = check.code === 'behind' ? words.arrival.behind : words.arrival.tooFar;
  return (
    <Card ground={palette.advisoryWash}>
      <Label colour={palette.advisory}>{question(meterWords(check.last, unit))}</Label>
      <Words>{words.arrival.doubtHelp}</Words>
      <FormChoice
        control={control}
        name="answer"
        label={words.arrival.why}
        hideLabel
        options={check.answers}
        word={(one) => words.meterAnswer[one]}
      />
    </Card>
  );
}
