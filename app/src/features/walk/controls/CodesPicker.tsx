import { CODE_STATES, type CodeState } from '@weskopos/core';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { Choice } from '../../../kit/Choice';
import { Field } from '../../../kit/Field';
import { Press } from '../../../kit/Press';
import { SPACE } from '../../../kit/tokens';
import { Words } from '../../../kit/Words';
import { words } from '@weskopos/words/en';
import { capital } from '@weskopos/words/show';
import { lookChange } from '../../../visit/readings';
import type { ControlProps } from './control';
import { controls as say } from '@weskopos/words/en/pages/controls';
import { common } from '@weskopos/words/en/pages/common';

/** Codes as they are read, before anything is cleared. Read again at closing, only those that return count as standing. */
export function CodesPicker({ pointRef, finding, put }: ControlProps) {
  const [code, setCode] = useState('');
  const [text, setText] = useState('');
  const [state, setState] = useState<CodeState>(pointRef.point === 'close.codes' ? 'returned' : 'stored');
  const codes = finding?.codes ?? [];
  const add = () => {
    if (code.trim() === '') return;
    const read = { code: code.trim().toUpperCase(), text: text.trim(), state };
    put(pointRef, (before) => lookChange(before, { codes: [...(before?.codes ?? []), read] }));
    setCode('');
    setText('');
  };
  return (
    <View style={styles.codes}>
      {codes.map((one, index) => (
        <View key={`${one.code}${index}`} style={styles.row}>
          <Words
            style={styles.grow}
          >{`${one.code}, ${words.codeState[one.state]}${one.text ? `: ${one.text}` : ''}`}</Words>
          <Press
            label={common.takeOut}
            hint={say.takeOut(one.code)}
            onPress={() =>
              put(pointRef, (before) =>
                lookChange(before, { codes: (before?.codes ?? []).filter((_, at) => at !== index) }),
              )
            }
          />
        </View>
      ))}
      <Field
        label={say.code}
        value={code}
        onChangeText={setCode}
        autoCapitalize="characters"
        maxLength={20}
        onSubmitEditing={add}
      />
      <Field label={say.whatTheReaderSays} value={text} onChangeText={setText} maxLength={200} onSubmitEditing={add} />
      <Choice
        label={say.itIs}
        options={CODE_STATES}
        word={(one) => capital(words.codeState[one])}
        value={state}
        onChoose={setState}
      />
      <Press label={say.addTheCode} onPress={add} disabled={code.trim() === ''} />
      {codes.length === 0 ? (
        <Press
          role="checkbox"
          label={say.readNoCodes}
          chosen={finding?.access === 'seen'}
          onPress={() => put(pointRef, (before) => lookChange(before, { codes: [] }))}
        />
      ) : null}
    </View>
  );
}

const styles = StyleSheet.create({
  codes: { gap: SPACE.s },
  row: { flexDirection: 'row', alignItems: 'center', gap: SPACE.s },
  grow: { flex: 1 },
});
