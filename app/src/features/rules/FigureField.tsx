import { useState } from 'react';
import { Field } from '../../kit/Field';
import { plainFigure } from './plainFigure';
import { rules as say } from '@weskopos/words/en/pages/rules';

interface FigureFieldProps {
  readonly label: string;
  /** Null where none is set. */
  readonly value: number | null;
  readonly least?: number;
  readonly most?: number;
  /** What stands under it when the rule it belongs to is wrong. */
  readonly problem?: string | undefined;
  /** Text to value; a plain figure without. */
  readonly read?: (text: string) => number;
  readonly onValue: (value: number) => void;
  /** Left empty: none is to be set. Without it a figure is wanted. */
  readonly onEmpty?: () => void;
}

const plain = (text: string) => (text.trim() === '' ? NaN : Number(text.replace(',', '.').replace('−', '-')));

/** A figure being edited: what is typed stays, and only what can be counts. */
export function FigureField({ label, value, least, most, problem, read = plain, onValue, onEmpty }: FigureFieldProps) {
  const [typed, setTyped] = useState<string | null>(null);
  const [refused, setRefused] = useState(false);
  const allowed = say.pointFromTo(least ?? '', most ?? '');
  return (
    <Field
      label={label}
      value={typed ?? (value === null ? '' : plainFigure(value))}
      onChangeText={(text) => {
        setTyped(text);
        if (onEmpty && text.trim() === '') {
          setRefused(false);
          onEmpty();
          return;
        }
        const next = read(text);
        const fits = Number.isFinite(next) && next >= (least ?? -Infinity) && next <= (most ?? Infinity);
        setRefused(!fits);
        if (fits) onValue(next);
      }}
      onBlur={() => !refused && setTyped(null)}
      inputMode="text"
      problem={refused ? (least === undefined ? say.aFigureIsWantedHere : `Allowed: ${allowed}.`) : problem}
    />
  );
}
