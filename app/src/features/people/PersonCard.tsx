import type { Member } from '@weskopos/contract';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { Card } from '../../kit/Card';
import { Press } from '../../kit/Press';
import { SPACE } from '../../kit/tokens';
import { usePalette } from '../../kit/theme';
import { Label, Words } from '../../kit/Words';
import { call } from '../../sync/workshop';
import { words } from '@weskopos/words/en';
import { people as say } from '@weskopos/words/en/pages/people';
import { dayAndTime } from '@weskopos/words/show';

interface PersonCardProps {
  readonly member: Member;
  /** Does something that may fail; what failed is told where all of it is told. */
  readonly onTry: (work: () => Promise<void>) => void;
  readonly onChanged: (member: Member) => void;
}

/** One person: what they may do, and what a lead can change of it. */
export function PersonCard({ member, onTry, onChanged }: PersonCardProps) {
  const palette = usePalette();
  const [once, setOnce] = useState<{ readonly code: string; readonly until: string } | null>(null);
  const [sure, setSure] = useState(false);
  const { id, name, role, state, invited } = member;
  const change = (body: { role?: Member['role']; state?: Member['state'] }) =>
    onTry(async () => {
      setSure(false);
      onChanged(await call('changePerson', { params: { id }, body }));
    });
  const giveCode = () =>
    onTry(async () => {
      setOnce(await call('resetSecret', { params: { id }, body: {} }));
      onChanged({ ...member, invited: true });
    });
  return (
    <Card>
      <View style={styles.head}>
        <Label style={styles.grow} soft={state !== 'here'}>
          {name}
        </Label>
        <Words soft>{[words.role[role], state === 'here' ? '' : say.state[state]].filter(Boolean).join(' · ')}</Words>
      </View>
      {invited && state === 'here' ? <Words soft>{say.invited}</Words> : null}
      {once ? (
        <View role="status">
          <Words>{say.code(name, dayAndTime(once.until))}</Words>
          <Label size="h2" colour={palette.pass} selectable>
            {once.code}
          </Label>
        </View>
      ) : null}
      {sure ? (
        <>
          <Words role="alert">{say.letGoAsked(name)}</Words>
          <View style={styles.row}>
            <Press label={say.no} onPress={() => setSure(false)} />
            <Press label={say.yes} onPress={() => change({ state: 'gone' })} />
          </View>
        </>
      ) : (
        <View style={styles.row}>
          {state === 'here' ? (
            <>
              <Press label={say.giveCode} hint={say.giveCodeOf(name)} onPress={giveCode} />
              {role === 'lead' ? (
                <Press
                  label={say.makeInspector}
                  hint={say.makeInspectorOf(name)}
                  onPress={() => change({ role: 'inspector' })}
                />
              ) : (
                <Press label={say.makeLead} hint={say.makeLeadOf(name)} onPress={() => change({ role: 'lead' })} />
              )}
              <Press label={say.suspend} hint={say.suspendOf(name)} onPress={() => change({ state: 'suspended' })} />
              <Press label={say.letGo} hint={say.letGoOf(name)} onPress={() => setSure(true)} />
            </>
          ) : (
            <Press label={say.letIn} hint={say.letInOf(name)} onPress={() => change({ state: 'here' })} />
          )}
        </View>
      )}
    </Card>
  );
}

const styles = StyleSheet.create({
  head: { flexDirection: 'row', alignItems: 'center', gap: SPACE.s },
  row: { flexDirection: 'row', flexWrap: 'wrap', gap: SPACE.s },
  grow: { flex: 1 },
});
