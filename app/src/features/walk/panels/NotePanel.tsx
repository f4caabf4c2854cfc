import { useState } from 'react';
import { Field } from '../../../kit/Field';
import { common } from '@weskopos/words/en/pages/common';

interface NotePanelProps {
  readonly note: string;
  /** Nothing else is in the panel: the hand is here to type. */
  readonly alone: boolean;
  readonly onNote: (note: string) => void;
}

/** Free words to a point, kept when the field is left. */
export function NotePanel({ note, alone, onNote }: NotePanelProps) {
  const [text, setText] = useState(note);
  return (
    <Field
      label={common.note}
      value={text}
      onChangeText={setText}
      onBlur={() => text !== note && onNote(text)}
      multiline
      autoFocus={alone}
      maxLength={2000}
    />
  );
}
