import { LEAST_SECRET } from '@weskopos/contract/device';
import { useState } from 'react';
import { Card } from '../../kit/Card';
import { Field } from '../../kit/Field';
import { Press } from '../../kit/Press';
import { usePalette } from '../../kit/theme';
import { Heading, Words } from '../../kit/Words';
import { call } from '../../sync/workshop';
import { common } from '@weskopos/words/en/pages/common';
import { people as say } from '@weskopos/words/en/pages/people';
import { problemWords } from '../../words/problemWords';

/** One's own PIN, changed by who knows the old one. */
export function OwnPin() {
  const palette = usePalette();
  const [old, setOld] = useState('');
  const [fresh, setFresh] = useState('');
  const [told, setTold] = useState<{ readonly words: string; readonly wrong: boolean }>();
  const change = async () => {
    try {
      await call('changeSecret', { body: { secret: old, fresh } });
      setOld('');
      setFresh('');
      setTold({ words: say.changed, wrong: false });
    } catch (error) {
      setTold({ words: problemWords(error), wrong: true });
    }
  };
  return (
    <Card>
      <Heading level={2}>{say.changePin}</Heading>
      <Field label={say.oldPin} value={old} onChangeText={setOld} secureTextEntry autoComplete="current-password" />
      <Field
        label={say.newPin}
        value={fresh}
        onChangeText={setFresh}
        secureTextEntry
        autoComplete="new-password"
        help={common.sixCharactersOrMore}
      />
      {told ? (
        <Words role={told.wrong ? 'alert' : 'status'} {...(told.wrong ? { colour: palette.fail } : {})}>
          {told.words}
        </Words>
      ) : null}
      <Press label={say.change} disabled={old === '' || fresh.length < LEAST_SECRET} onPress={() => void change()} />
    </Card>
  );
}
