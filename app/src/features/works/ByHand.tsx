import { URGENCIES, type Urgency } from '@weskopos/core';
import { useState } from 'react';
import { Card } from '../../kit/Card';
import { Choice } from '../../kit/Choice';
import { Field } from '../../kit/Field';
import { Heading } from '../../kit/Words';
import { putEntry } from '../../visit/putEntry';
import { works as say } from '@weskopos/words/en/pages/works';
import { urgencyWords } from '@weskopos/words/workWords';
import { AskRow } from './AskRow';

const BY_HAND = URGENCIES.filter((one) => one !== 'by');

/** A work nobody proposed: what it is, how soon, and a word about it. */
export function ByHand({ vehicleId, onDone }: { readonly vehicleId: string; readonly onDone: () => void }) {
  const [name, setName] = useState('');
  const [note, setNote] = useState('');
  const [urgency, setUrgency] = useState<Urgency>('next-visit');
  const [asked, setAsked] = useState(false);
  const lacking = name.trim() === '';
  const add = async () => {
    if (lacking) return setAsked(true);
    const task = { code: 'own', point: null, name: name.trim(), place: '' } as const;
    await putEntry(
      { vehicleId, meter: null },
      { kind: 'work', task, reasons: [], urgency, from: null, to: null, minutes: null, parts: [], note: note.trim() },
    );
    onDone();
  };
  return (
    <Card>
      <Heading level={2}>{say.byHand}</Heading>
      <Field
        label={say.byHandWhat}
        value={name}
        onChangeText={setName}
        maxLength={60}
        problem={asked && lacking ? say.byHandNeeded : undefined}
      />
      <Choice
        label={say.howSoon}
        options={BY_HAND}
        word={(one) => urgencyWords(one, null, null)}
        value={urgency}
        onChoose={setUrgency}
      />
      <Field label={say.note} value={note} onChangeText={setNote} maxLength={500} multiline />
      <AskRow keep={say.add} onKeep={() => void add()} onLeave={onDone} />
    </Card>
  );
}
