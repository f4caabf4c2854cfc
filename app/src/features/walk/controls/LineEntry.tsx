import { MEASURES, parseLine, type MeasureCode } from '@weskopos/core';
import { useState } from 'react';
import { Field } from '../../../kit/Field';
import { unitOf, workshopUnit } from '../../../words/show';

interface LineEntryProps {
  readonly measure: MeasureCode;
  /** How many figures the line holds, outside first. */
  readonly wanted: number;
  readonly label: string;
  readonly help: string;
  readonly onValues: (values: readonly number[]) => void;
}

/** All figures of a step on one line: `5 5.5 4`. Taken on Enter; what cannot be read is told and stays as typed. */
export function LineEntry({ measure, wanted, label, help, onValues }: LineEntryProps) {
  const [typed, setTyped] = useState('');
  const [problem, setProblem] = useState<string>();
  const { least, most } = MEASURES[measure];
  const take = () => {
    if (typed.trim() === '') return;
    const line = parseLine(typed, workshopUnit(measure), wanted);
    if (line.status === 'unreadable') return setProblem(`“${line.typed}” was not understood. For example 5 5.5 4.`);
    if (line.status === 'wrong-count') return setProblem(`${wanted} figures, outside first; there were ${line.got}.`);
    if (line.stored.some((value) => value < least || value > most))
      return setProblem(`Each from ${least} to ${most} ${unitOf(measure)}.`);
    setProblem(undefined);
    setTyped('');
    onValues(line.stored.map((value) => Number(value.toFixed(4))));
  };
  return (
    <Field
      label={label}
      hideLabel
      value={typed}
      onChangeText={(text) => {
        setTyped(text);
        setProblem(undefined);
      }}
      onSubmitEditing={take}
      onBlur={take}
      inputMode="text"
      placeholder={help}
      problem={problem}
    />
  );
}
