import { useState } from 'react';
import { useShallow } from 'zustand/shallow';
import { StyleSheet, View } from 'react-native';
import { Press } from '../kit/Press';
import { usePalette } from '../kit/theme';
import { SPACE } from '../kit/tokens';
import { Words } from '../kit/Words';
import type { RefusedOperation } from '../sync/deviceStore';
import { isLate } from '../sync/lateEntry';
import { deleteRefused, sendAgain, useWorkshop, vehicleOfVisit } from '../sync/workshop';
import { words } from '@weskopos/words/en';
import { refusedSentence } from '../words/refusedSentence';

/** One change the workshop did not take: what it says and why, the way to send it on what stands now, and to delete it. */
export function RefusedChange({ refused }: { readonly refused: RefusedOperation }) {
  const palette = usePalette();
  const [sure, setSure] = useState(false);
  const [briefs, lives, pending] = useWorkshop(
    useShallow((state) => [state.briefs, state.lives, state.pending] as const),
  );
  const vehicleOf = (visitId: string) => {
    const id = vehicleOfVisit({ briefs, lives, pending }, visitId) ?? '';
    return (lives[id] ?? briefs[id])?.vehicle;
  };
  return (
    <View style={[styles.refused, { borderColor: palette.fail }]}>
      <Words>{refusedSentence(refused, vehicleOf)}</Words>
      <View style={styles.ways}>
        <Press
          label={isLate(refused) ? words.refused.amend : words.refused.sendAgain}
          onPress={() => void sendAgain(refused, words.refused.amendWhy)}
        />
        {sure ? (
          <>
            <Press label={words.refused.deleteForGood} onPress={() => void deleteRefused(refused.operation.id)} />
            <Press label={words.refused.keep} kind="quiet" onPress={() => setSure(false)} />
          </>
        ) : (
          <Press label={words.refused.delete} kind="quiet" onPress={() => setSure(true)} />
        )}
      </View>
    </View>
  );
}

const styles = StyleSheet.create({
  refused: { gap: SPACE.s, borderLeftWidth: 4, paddingLeft: SPACE.s, marginTop: SPACE.s },
  ways: { flexDirection: 'row', flexWrap: 'wrap', gap: SPACE.s },
});
