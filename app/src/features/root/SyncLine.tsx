import { StyleSheet, View } from 'react-native';
import { useShallow } from 'zustand/shallow';
import { dismissRefused, useWorkshop } from '../../sync/workshop';
import { Press } from '../../kit/Press';
import { SPACE } from '../../kit/tokens';
import { usePalette } from '../../kit/theme';
import { Words } from '../../kit/Words';
import { words } from '../../words/en';

/** One quiet line: what is not yet sent, and that nothing is lost. What the workshop refused is named, never dropped. */
export function SyncLine() {
  const palette = usePalette();
  const { sync, writing, storageFailed, refused, queued } = useWorkshop(
    useShallow((state) => ({
      sync: state.sync,
      writing: state.writing > 0,
      storageFailed: state.storageFailed,
      refused: state.refused,
      queued: state.pending.length,
    })),
  );
  // A change just made counts before the queue has been read again: it is not sent yet.
  const waiting = Math.max(sync.waiting, queued);
  const count = waiting === 1 ? '1 change' : `${waiting} changes`;
  const line = storageFailed
    ? 'This device could not keep the last change. Free some storage, then make it again.'
    : writing
      ? 'Saving on this device…'
      : waiting === 0
        ? sync.link === 'unreachable'
          ? 'No connection. Everything is saved on this device.'
          : 'Saved and sent.'
        : sync.link === 'unreachable'
          ? `Saved on this device. ${count} wait for the workshop.`
          : sync.link === 'signed-out'
            ? `Saved on this device. Sign in to send ${count}.`
            : sync.ofOthers === waiting
              ? `Saved on this device. ${count} wait for who made them to sign in.`
              : `Saved on this device. Sending ${count}…`;
  return (
    <View {...{ dataSet: { print: 'hide' } }}>
      <Words size="s" role="status" colour={storageFailed ? palette.fail : palette.soft}>
        {line}
      </Words>
      {refused.map(({ operation, refusal }) => (
        <View key={operation.id} style={[styles.refused, { borderColor: palette.fail }]}>
          <Words size="m" style={styles.grow}>
            {`Not taken by the workshop: ${refusal === 'invalid' ? 'it was not readable' : words.refusal[refusal]}.`}
          </Words>
          <Press label="Understood" onPress={() => void dismissRefused(operation.id)} />
        </View>
      ))}
    </View>
  );
}

const styles = StyleSheet.create({
  refused: {
    flexDirection: 'row',
    alignItems: 'center',
    gap: SPACE.s,
    borderLeftWidth: 4,
    paddingLeft: SPACE.s,
    marginTop: SPACE.s,
  },
  grow: { flex: 1 },
});
