import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { Field } from '../../kit/Field';
import { SPACE } from '../../kit/tokens';
import { works as say } from '@weskopos/words/en/pages/works';
import { AskRow } from './AskRow';

interface SayFormProps {
  readonly label: string;
  /** Nothing goes on without a word. */
  readonly needed: boolean;
  readonly keep: string;
  readonly onSay: (words: string) => void;
  readonly onLeave: () => void;
}

/** A few words that go on record. */
export function SayForm({ label, needed, keep, onSay, onLeave }: SayFormProps) {
  const [words, setWords] = useState('');
  const [asked, setAsked] = useState(false);
  const lacking = needed && words.trim() === '';
  return (
    <View style={styles.form}>
      <Field
        label={label}
        value={words}
        onChangeText={setWords}
        maxLength={2000}
        multiline
        problem={asked && lacking ? say.wordsNeeded : undefined}
      />
      <AskRow keep={keep} onKeep={() => (lacking ? setAsked(true) : onSay(words.trim()))} onLeave={onLeave} />
    </View>
  );
}

const styles = StyleSheet.create({
  form: { gap: SPACE.s },
});
