import type { AuditLine, Audited } from '@weskopos/contract';
import { AUDIT_CSV_PATH } from '@weskopos/contract/device';
import { typedKeys } from '@weskopos/core';
import { useEffect, useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { Choice } from '../../kit/Choice';
import { Press } from '../../kit/Press';
import { Problem } from '../../kit/Problem';
import { saveFrom } from '../../kit/saveFrom';
import { usePalette } from '../../kit/theme';
import { SPACE } from '../../kit/tokens';
import { Words } from '../../kit/Words';
import { Page } from '../../shell/Page';
import { deviceWords } from '../people/deviceWords';
import { call } from '../../sync/workshop';
import { audit as say } from '@weskopos/words/en/pages/audit';
import { problemWords } from '../../words/problemWords';
import { dayAndTime } from '@weskopos/words/show';

const ALL = 'all';
const KINDS: readonly (Audited | typeof ALL)[] = [ALL, ...typedKeys(say.kind)];

/** Who did what when, newest first. */
export function AuditPage() {
  const palette = usePalette();
  const [kind, setKind] = useState<Audited | typeof ALL>(ALL);
  const [lines, setLines] = useState<readonly AuditLine[]>();
  const [more, setMore] = useState(false);
  const [problem, setProblem] = useState<string>();
  const search = (of: Audited | typeof ALL, before: string | null) =>
    call('audit', { body: { kind: of === ALL ? null : of, personId: null, before } });
  useEffect(() => {
    let stale = false;
    search(kind, null).then(
      (answer) => {
        if (stale) return;
        setLines(answer.lines);
        setMore(answer.more);
      },
      (error: unknown) => setProblem(problemWords(error)),
    );
    return () => {
      stale = true;
    };
  }, [kind]);
  const older = async (known: readonly AuditLine[]) => {
    const answer = await search(kind, known.at(-1)?.at ?? null);
    setLines([...known, ...answer.lines]);
    setMore(answer.more);
  };
  return (
    <Page
      title={say.title}
      back="/data"
      foot={<Press label={say.save} onPress={() => saveFrom(AUDIT_CSV_PATH)} style={styles.grow} />}
    >
      <Choice
        label={say.which}
        options={KINDS}
        word={(one) => (one === ALL ? say.all : say.kind[one])}
        value={kind}
        onChoose={setKind}
        oneLine
      />
      <Problem>{problem}</Problem>
      {lines?.length === 0 ? <Words>{say.none}</Words> : null}
      <View role="list">
        {lines?.map(({ id, at, kind: of, by, about }) => (
          <View role="listitem" key={id} style={[styles.line, { borderColor: palette.rule }]}>
            <Words strong>{say.kind[of]}</Words>
            {about === '' ? null : <Words>{of === 'sign-in' ? deviceWords(about) : about}</Words>}
            <Words soft>
              {say.byWhen(by ?? (of === 'sign-in-failed' ? say.nobody : say.firstStart), dayAndTime(at))}
            </Words>
          </View>
        ))}
      </View>
      {more && lines ? (
        <Press
          label={say.older}
          onPress={() => void older(lines).catch((error: unknown) => setProblem(problemWords(error)))}
        />
      ) : null}
    </Page>
  );
}

const styles = StyleSheet.create({
  line: { borderTopWidth: 1, paddingVertical: SPACE.s },
  grow: { flex: 1 },
});
