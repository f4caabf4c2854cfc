import { USUAL_WAIT_S, WAIT_KINDS, remainingS, waitsOf, type Act, type Wait } from '@weskopos/core';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { Card } from '../../kit/Card';
import { Choice } from '../../kit/Choice';
import { Press } from '../../kit/Press';
import { usePalette } from '../../kit/theme';
import { SPACE } from '../../kit/tokens';
import { Heading, Label, Words } from '../../kit/Words';
import { words } from '@weskopos/words/en';
import { setSound, sound, soundOn } from './callSound';
import { putAct } from './putAct';
import { clockWords, useNow } from '../../visit/useNow';
import { ends as say } from '@weskopos/words/en/pages/ends';

/** What runs by itself: how long still, and what is over and wants somebody. */
export function WaitsCard({ acts, visitId }: { readonly acts: readonly Act[]; readonly visitId: string }) {
  const now = useNow(1000);
  const [adding, setAdding] = useState(false);
  const [heard, setHeard] = useState(soundOn);
  const waits = waitsOf(acts).filter(({ done }) => !done);
  return (
    <Card>
      <Heading level={2}>{say.runsByItself}</Heading>
      {waits.length === 0 ? <Words soft>{say.nothingIsDrainingSettlingOr}</Words> : null}
      {waits.map((wait) => (
        <WaitLine key={wait.id} wait={wait} left={remainingS(wait, now)} visitId={visitId} />
      ))}
      {adding ? (
        <Choice
          label={say.startATimer}
          options={WAIT_KINDS}
          word={(kind) => `${words.wait[kind]}, ${clockWords(USUAL_WAIT_S[kind])}`}
          value={null}
          onChoose={(kind) => {
            setAdding(false);
            void putAct(visitId, { kind: 'wait', wait: kind, lengthS: USUAL_WAIT_S[kind] });
          }}
        />
      ) : (
        <Press label={say.startATimerFor} onPress={() => setAdding(true)} style={styles.aside} />
      )}
      <Press
        kind="quiet"
        label={heard ? say.soundAtTheEndOn : say.soundAtTheEndOff}
        onPress={() => {
          setSound(!heard);
          setHeard(!heard);
          sound();
        }}
        style={styles.aside}
      />
    </Card>
  );
}

function WaitLine({ wait, left, visitId }: { readonly wait: Wait; readonly left: number; readonly visitId: string }) {
  const palette = usePalette();
  const over = left === 0;
  return (
    <View style={styles.line}>
      <View style={styles.grow}>
        <Label colour={palette.forecast}>{words.wait[wait.kind]}</Label>
        <Words role={over ? 'status' : undefined}>{over ? say.overGoOnWithIt : say.left(clockWords(left))}</Words>
      </View>
      <Press
        label={over ? say.heard : say.stop}
        hint={`${over ? say.heard : say.stop}: ${words.wait[wait.kind].toLowerCase()}`}
        onPress={() => void putAct(visitId, { kind: 'wait-done', waits: wait.id })}
      />
    </View>
  );
}

const styles = StyleSheet.create({
  line: { flexDirection: 'row', alignItems: 'center', gap: SPACE.s },
  grow: { flex: 1 },
  aside: { alignSelf: 'flex-start' },
});
