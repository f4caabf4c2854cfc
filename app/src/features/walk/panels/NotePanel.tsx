import { useState } from 'react';
import { Field } from '../../../kit/Field';
import { common } from '../../../words/en/pages/common';

/** Free words to a point, kept when the field is left. */
export function NotePanel({ note, onNote }: { readonly note: string; readonly onNote: (note: string) => void }) {
  const [text, setText] = useState(note);
  return (
    <Field
      label={common.note}
      value={text}
      onChangeText={setText}
      onBlur={() => text !== note && onNote(text)}
      multiline
      autoFocus
      maxLength={2000}
    />
  );
}
