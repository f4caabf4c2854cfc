import type { Storage } from '@weskopos/contract';
import { typedKeys } from '@weskopos/core';
import { useEffect, useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { Card } from '../../kit/Card';
import { Press } from '../../kit/Press';
import { Problem } from '../../kit/Problem';
import { usePalette } from '../../kit/theme';
import { SPACE } from '../../kit/tokens';
import { Heading, Words } from '../../kit/Words';
import { call } from '../../sync/workshop';
import { byteWords } from '@weskopos/words/bytes';
import { data as say } from '@weskopos/words/en/pages/data';
import { problemWords } from '../../words/problemWords';
import { dayAndTime } from '@weskopos/words/show';

/** How old the last backup is, one made now, and what takes how much room. */
export function BackupCard() {
  const [storage, setStorage] = useState<Storage>();
  const [busy, setBusy] = useState(false);
  const [problem, setProblem] = useState<string>();
  useEffect(() => {
    call('storage').then(setStorage, (error: unknown) => setProblem(problemWords(error)));
  }, []);
  const take = () => {
    setBusy(true);
    setProblem(undefined);
    call('takeBackup', { body: {} })
      .then(setStorage, (error: unknown) => setProblem(problemWords(error)))
      .finally(() => setBusy(false));
  };
  return (
    <>
      <Card>
        <Heading level={2}>{say.backup}</Heading>
        {storage ? <Words>{say.backupHelp(storage.backups.folder)}</Words> : null}
        <View role="status" aria-live="polite" style={styles.told}>
          {busy ? <Words>{say.backingUp}</Words> : storage ? <Last {...storage.backups} /> : null}
        </View>
        <Problem>{problem}</Problem>
        {/* Not before the first answer: coming late, it would tell what was before. */}
        <Press label={say.backupNow} disabled={busy || (!storage && !problem)} onPress={take} />
      </Card>
      {storage ? (
        <Card>
          <Heading level={2}>{say.room}</Heading>
          {typedKeys(storage.room).map((part) => (
            <View key={part} style={styles.row}>
              <Words>{say.takes[part]}</Words>
              <Words>{byteWords(storage.room[part])}</Words>
            </View>
          ))}
        </Card>
      ) : null}
    </>
  );
}

function Last({ sets, problem }: Storage['backups']) {
  const palette = usePalette();
  const [last, ...older] = sets;
  return (
    <>
      {problem ? <Words colour={palette.fail}>{say.failed(dayAndTime(problem.at), problem.why)}</Words> : null}
      <Words strong>{last ? say.last(dayAndTime(last.made), byteWords(last.bytes)) : say.noneYet}</Words>
      {older.length > 0 ? <Words soft>{say.older(older.length)}</Words> : null}
      {last && last.photoBytes > 0 ? <Words soft>{say.photosBeside(byteWords(last.photoBytes))}</Words> : null}
    </>
  );
}

const styles = StyleSheet.create({
  told: { gap: SPACE.s },
  row: { flexDirection: 'row', justifyContent: 'space-between', gap: SPACE.m },
});
