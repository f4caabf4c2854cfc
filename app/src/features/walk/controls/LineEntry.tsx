import { MEASURES, type MeasureCode } from '@weskopos/core';
import { parseLine } from '@weskopos/core/walk';
import { useState } from 'react';
import { Field } from '../../../kit/Field';
import { unitOf, workshopUnit } from '@weskopos/words/show';
import { controls as say } from '@weskopos/words/en/pages/controls';

interface LineEntryProps {
  readonly measure: MeasureCode;
  /** How many figures the line holds, outside first. */
  readonly wanted: number;
  readonly label: string;
  readonly help: string;
  readonly onValues: (values: readonly number[]) => void;
}

/**
 * All figures of a step on one line: `5 5.5 4`. Taken on Enter, a whole line also when it is left; one figure is the first
 * place's alone. What cannot be read is told and stays as typed.
 */
export function LineEntry({ measure, wanted, label, help, onValues }: LineEntryProps) {
  const [typed, setTyped] = useState('');
  const [problem, setProblem] = useState<string>();
  const { least, most } = MEASURES[measure];
  const take = (left = false) => {
    if (typed.trim() === '') return;
    const line = parseLine(typed, workshopUnit(measure), wanted);
    // Half a line that was left is not taken: it may be the beginning of a whole one.
    if (left && line.status === 'values' && line.stored.length < wanted) return setProblem(say.halfALine(wanted));
    if (line.status === 'unreadable') return setProblem(say.wasNotUnderstoodForExample(line.typed));
    if (line.status === 'wrong-count') return setProblem(say.figuresOutsideFirstThereWere(wanted, line.got));
    if (line.stored.some((value) => value < least || value > most))
      return setProblem(say.eachFromTo(least, most, unitOf(measure)));
    setProblem(line.stored.length < wanted ? say.firstPlaceOnly(wanted - line.stored.length) : undefined);
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
      onSubmitEditing={() => take()}
      onBlur={() => take(true)}
      inputMode="text"
      figures={{ line: true, fraction: unitOf(measure) === unitOf('tread') }}
      placeholder={help}
      problem={problem}
    />
  );
}
