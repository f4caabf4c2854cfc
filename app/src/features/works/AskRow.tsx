import { StyleSheet, View } from 'react-native';
import { Press } from '../../kit/Press';
import { SPACE } from '../../kit/tokens';
import { works as say } from '@weskopos/words/en/pages/works';

interface AskRowProps {
  /** What the way on is called. */
  readonly keep: string;
  readonly disabled?: boolean;
  readonly onKeep: () => void;
  readonly onLeave: () => void;
}

/** The foot of something that is asked: leave it as it is, or go on. */
export function AskRow({ keep, disabled = false, onKeep, onLeave }: AskRowProps) {
  return (
    <View style={styles.row}>
      <Press label={say.leave} onPress={onLeave} />
      <Press kind="main" label={keep} disabled={disabled} onPress={onKeep} style={styles.grow} />
    </View>
  );
}

const styles = StyleSheet.create({
  row: { flexDirection: 'row', gap: SPACE.s },
  grow: { flex: 1 },
});
