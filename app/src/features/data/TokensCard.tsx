import type { AnswerOf, Token, TokenScope } from '@weskopos/contract';
import { DOCS_PATH } from '@weskopos/contract/device';
import { useEffect, useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { Card } from '../../kit/Card';
import { Choice } from '../../kit/Choice';
import { Field } from '../../kit/Field';
import { Press } from '../../kit/Press';
import { Problem } from '../../kit/Problem';
import { usePalette } from '../../kit/theme';
import { CORNER, SPACE } from '../../kit/tokens';
import { Heading, Words } from '../../kit/Words';
import { call } from '../../sync/workshop';
import { audit as say } from '@weskopos/words/en/pages/audit';
import { problemWords } from '../../words/problemWords';
import { day } from '@weskopos/words/show';

const SCOPES: readonly TokenScope[] = ['read', 'write'];

/** Programs that may come in by a token: given, told once, ended. */
export function TokensCard() {
  const palette = usePalette();
  const [tokens, setTokens] = useState<readonly Token[]>([]);
  const [name, setName] = useState('');
  const [scope, setScope] = useState<TokenScope>('read');
  const [given, setGiven] = useState<AnswerOf<'giveToken'>>();
  const [problem, setProblem] = useState<string>();
  const failed = (error: unknown) => setProblem(problemWords(error));
  useEffect(() => {
    call('tokens').then(setTokens, failed);
  }, []);
  const give = async () => {
    setProblem(undefined);
    setGiven(await call('giveToken', { body: { name: name.trim(), scope } }));
    setName('');
    setTokens(await call('tokens'));
  };
  const end = async (id: string) => {
    setProblem(undefined);
    await call('endToken', { params: { id } });
    if (given?.id === id) setGiven(undefined);
    setTokens(await call('tokens'));
  };
  return (
    <Card>
      <Heading level={2}>{say.programs}</Heading>
      <Words>{say.programsHelp}</Words>
      {tokens.map((one) => (
        <View key={one.id} style={styles.row}>
          <View style={styles.grow}>
            <Words strong>{one.name}</Words>
            <Words soft>{say.tokenTold(say.scope[one.scope], one.givenBy, day(one.givenAt))}</Words>
          </View>
          <Press label={say.end} hint={say.endOf(one.name)} onPress={() => void end(one.id).catch(failed)} />
        </View>
      ))}
      {given ? (
        <View role="status" aria-live="polite" style={[styles.given, { backgroundColor: palette.passWash }]}>
          <Words strong>{say.once}</Words>
          <Words selectable style={BROKEN}>
            {given.token}
          </Words>
          <Press label={say.copy} onPress={() => void navigator.clipboard.writeText(given.token).catch(failed)} />
        </View>
      ) : null}
      <Field label={say.nameOfIt} value={name} maxLength={60} onChangeText={setName} />
      <Choice label={say.mayDo} options={SCOPES} word={(one) => say.scope[one]} value={scope} onChoose={setScope} />
      <Problem>{problem}</Problem>
      <Press label={say.give} disabled={name.trim() === ''} onPress={() => void give().catch(failed)} />
      <Press label={say.api} kind="quiet" role="link" onPress={() => window.open(DOCS_PATH, '_blank', 'noopener')} />
    </Card>
  );
}

/** Letters without a gap are broken, not pushed out; a style of the web that React Native does not name. */
const BROKEN: object = { wordBreak: 'break-all' };
const styles = StyleSheet.create({
  row: { flexDirection: 'row', alignItems: 'center', gap: SPACE.s },
  grow: { flex: 1 },
  given: { padding: SPACE.m, borderRadius: CORNER.s, gap: SPACE.s },
});
