import { useState } from 'react';
import { Field } from '../../kit/Field';
import { Page } from '../../shell/Page';
import { Press } from '../../kit/Press';
import { Words } from '../../kit/Words';
import { usePalette } from '../../kit/theme';
import { call, signedIn } from '../../sync/workshop';
import { problemWords } from '../../words/problemWords';
import { signin as say } from '../../words/en/pages/signin';
import { common } from '../../words/en/pages/common';

/** The way in: a name and a PIN or password. */
export function SignIn() {
  const palette = usePalette();
  const [name, setName] = useState('');
  const [secret, setSecret] = useState('');
  const [problem, setProblem] = useState<string>();
  const [busy, setBusy] = useState(false);

  const enter = async () => {
    setBusy(true);
    setProblem(undefined);
    try {
      await signedIn(await call('signIn', { body: { name, secret } }));
    } catch (error) {
      setProblem(problemWords(error));
    } finally {
      setBusy(false);
    }
  };

  return (
    <Page title={say.weskopos} over={say.theBenchBookThatWalks} width={420}>
      <Field label={common.name} value={name} onChangeText={setName} autoCapitalize="words" autoComplete="username" />
      <Field
        label={common.pinOrPassword}
        value={secret}
        onChangeText={setSecret}
        secureTextEntry
        autoComplete="current-password"
        onSubmitEditing={() => void enter()}
      />
      {problem ? (
        <Words role="alert" colour={palette.fail}>
          {problem}
        </Words>
      ) : null}
      <Press
        kind="main"
        label={say.signIn}
        onPress={() => void enter()}
        disabled={busy || name.trim() === '' || secret === ''}
      />
    </Page>
  );
}
