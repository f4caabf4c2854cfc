import type { DeviceSession } from '@weskopos/contract';
import { useEffect, useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { Card } from '../../kit/Card';
import { Choice } from '../../kit/Choice';
import { Press } from '../../kit/Press';
import { SPACE } from '../../kit/tokens';
import { Words } from '../../kit/Words';
import { Page } from '../../shell/Page';
import { SyncLine } from '../../shell/SyncLine';
import { KeyList } from '../../shell/spine/KeyList';
import { useKeys } from '../../shell/spine/keys';
import { ONESELF, placesFor } from '../../shell/spine/places';
import { call, signOut, useWorkshop } from '../../sync/workshop';
import { words } from '@weskopos/words/en';
import { spine as say } from '@weskopos/words/en/pages/spine';
import { problemWords } from '../../words/problemWords';
import { DevicesCard } from '../people/DevicesCard';
import { OwnPin } from './OwnPin';

const SWITCH = ['on', 'off'] as const;

/** Who is signed in, the keys of this device, and the way out. */
export function MePage() {
  const person = useWorkshop((state) => state.person);
  const [problem, setProblem] = useState<string>();
  const { on, turn } = useKeys();
  const [sessions, setSessions] = useState<readonly DeviceSession[]>([]);
  useEffect(() => {
    call('sessions').then(
      // A lead is told of everybody's; here one sees one's own.
      (all) => setSessions(all.filter(({ personId }) => personId === person?.id)),
      // Without the workshop nobody can tell; the rest of the page works.
      () => setSessions([]),
    );
  }, [person?.id]);
  if (!person) return null;
  const end = ({ id }: DeviceSession) =>
    void call('endSession', { params: { id } }).then(
      () => setSessions((before) => before.filter((one) => one.id !== id)),
      (error: unknown) => setProblem(problemWords(error)),
    );
  return (
    <Page
      title={person.name}
      over={words.role[person.role]}
      foot={
        <Press
          label={say.signOut}
          onPress={() => void signOut().catch((error: unknown) => setProblem(problemWords(error)))}
          style={styles.grow}
        />
      }
    >
      <SyncLine told />
      {problem ? <Words role="alert">{problem}</Words> : null}
      <OwnPin />
      <DevicesCard sessions={sessions} onEnd={end} />
      <Card>
        <KeyList stops={[...placesFor(person.role), ONESELF]} />
        <View style={styles.switch}>
          <Choice
            label={say.keysSwitch}
            options={SWITCH}
            word={(one) => (one === 'on' ? say.keysOn : say.keysOff)}
            value={on ? 'on' : 'off'}
            onChoose={(one) => turn(one === 'on')}
          />
          <Words size="m" soft>
            {say.keysHelp}
          </Words>
        </View>
      </Card>
    </Page>
  );
}

const styles = StyleSheet.create({ grow: { flex: 1 }, switch: { gap: SPACE.s } });
