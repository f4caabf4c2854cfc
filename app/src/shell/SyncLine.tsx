import { StyleSheet, View } from 'react-native';
import { useShallow } from 'zustand/shallow';
import { useWorkshop } from '../sync/workshop';
import { usePalette } from '../kit/theme';
import { HEARD_ONLY, Words } from '../kit/Words';
import { words } from '@weskopos/words/en';
import { RefusedChange } from './RefusedChange';

/**
 * One quiet line: what is not yet sent, and that nothing is lost; nothing to see once all is sent, unless it is `told`.
 * What the workshop refused is named, never dropped.
 */
export function SyncLine({ told = false }: { readonly told?: boolean }) {
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
  const line = storageFailed
    ? words.sync.storageFailed
    : writing
      ? words.sync.writing
      : waiting === 0
        ? words.sync.nothingWaits[sync.link]
        : sync.ofOthers + sync.held === waiting && sync.link === 'idle'
          ? words.sync.ofOthers(waiting, sync.held)
          : words.sync.waiting[sync.link](waiting);
  // That all is well is said to who listens; it is shown on one's own page.
  const quiet = !told && !storageFailed && !writing && waiting === 0 && sync.link === 'idle';
  const denied = useWorkshop((state) => state.kept === 'denied');
  const nothingToSee = quiet && !denied && sync.refusedPhotos === 0 && refused.length === 0;
  return (
    <View
      {...{ dataSet: { print: 'hide' } }}
      // Nothing to see takes no room between its neighbours.
      style={nothingToSee ? styles.aside : null}
    >
      <Words
        size="s"
        role="status"
        colour={storageFailed ? palette.fail : palette.soft}
        style={quiet ? HEARD_ONLY : null}
      >
        {line}
      </Words>
      {denied ? (
        <Words size="s" role="alert" colour={palette.fail}>
          {words.sync.nothingKept}
        </Words>
      ) : null}
      {sync.refusedPhotos > 0 ? (
        <Words size="s" colour={palette.fail}>
          {words.sync.photosRefused(sync.refusedPhotos)}
        </Words>
      ) : null}
      {refused.map((one) => (
        <RefusedChange key={one.operation.id} refused={one} />
      ))}
    </View>
  );
}

const styles = StyleSheet.create({ aside: { position: 'absolute' } });
