import { LEAST_SECRET } from '@weskopos/contract/device';
import { useState } from 'react';
import { Field } from '../../kit/Field';
import { Page } from '../../shell/Page';
import { Press } from '../../kit/Press';
import { Problem } from '../../kit/Problem';
import { Words } from '../../kit/Words';
import { call, signedIn } from '../../sync/workshop';
import { ServerProblem } from '../../sync/transport';
import { people as about } from '@weskopos/words/en/pages/people';
import { problemWords } from '../../words/problemWords';
import { signin as say } from '@weskopos/words/en/pages/signin';
import { common } from '@weskopos/words/en/pages/common';

/** The way in: a name and a PIN or password. */
export function SignIn() {
  const [name, setName] = useState('');
  const [secret, setSecret] = useState('');
  // Chosen where what was typed lets in only once.
  const [fresh, setFresh] = useState<string | null>(null);
  const [problem, setProblem] = useState<string>();
  const [busy, setBusy] = useState(false);

  const enter = async () => {
    setBusy(true);
    setProblem(undefined);
    try {
      await signedIn(await call('signIn', { body: { name, secret, ...(fresh === null ? {} : { fresh }) } }));
    } catch (error) {
      if (fresh === null && error instanceof ServerProblem && error.problem.code === 'choose-secret') setFresh('');
      else setProblem(problemWords(error));
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
      {fresh !== null ? (
        <>
          <Words role="status">{about.chooseOwn}</Words>
          <Field
            label={about.newPin}
            value={fresh}
            onChangeText={setFresh}
            secureTextEntry
            autoFocus
            autoComplete="new-password"
            help={common.sixCharactersOrMore}
            onSubmitEditing={() => void enter()}
          />
        </>
      ) : null}
      <Problem>{problem}</Problem>
      <Press
        kind="main"
        label={say.signIn}
        onPress={() => void enter()}
        disabled={busy || name.trim() === '' || secret === '' || (fresh !== null && fresh.length < LEAST_SECRET)}
      />
    </Page>
  );
}
