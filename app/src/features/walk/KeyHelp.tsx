import { StyleSheet, View } from 'react-native';
import { Card } from '../../kit/Card';
import { Press } from '../../kit/Press';
import { SPACE } from '../../kit/tokens';
import { Heading, Label, Words } from '../../kit/Words';
import { WALK_ACTS, WALK_KEYS } from './walkKeys';
import { walk as say } from '@weskopos/words/en/pages/walk';

/** The walk's keys, for who sits at one. */
export function KeyHelp({ onClose }: { readonly onClose: () => void }) {
  return (
    <Card>
      <Heading level={2}>{say.keys}</Heading>
      {WALK_ACTS.map((act) => (
        <View key={act} style={styles.row}>
          <Label size="l" style={styles.keys}>
            {act === 'number'
              ? '0 to 9'
              : WALK_KEYS[act].keys.join(' or ').replace('ArrowRight', '→').replace('ArrowLeft', '←')}
          </Label>
          <Words>{WALK_KEYS[act].word}</Words>
        </View>
      ))}
      <Press label={say.close} onPress={onClose} />
    </Card>
  );
}

const styles = StyleSheet.create({ row: { flexDirection: 'row', gap: SPACE.m }, keys: { width: 90 } });
