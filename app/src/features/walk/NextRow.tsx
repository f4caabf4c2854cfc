import { useDeaf } from '../../kit/useDeaf';
import { StyleSheet, View } from 'react-native';
import { Press } from '../../kit/Press';
import { SPACE } from '../../kit/tokens';
import type { WalkWay } from './useWalkWay';
import { walk as say } from '@weskopos/words/en/pages/walk';

/** Back, what the step can be said to be by one touch, and on. */
export function NextRow({ way }: { readonly way: WalkWay }) {
  const { acts, index, isLast, quick, step } = way;
  // The hand that tapped twice meant the step before: it must not pass what nobody looked at.
  const deaf = useDeaf(step?.id);
  return (
    <View style={styles.row}>
      {index > 0 ? (
        <Press label="‹" hint={say.backToTheStepBefore} onPress={() => acts.back('')} style={styles.narrow} />
      ) : null}
      {quick ? (
        <Press
          kind="main"
          label={`${quick.label} ›`}
          hint={say.andOn(quick.label)}
          deaf={deaf}
          onPress={() => acts.sound('')}
          style={styles.broad}
        />
      ) : null}
      <Press
        kind={quick ? 'plain' : 'main'}
        label={quick ? '›' : isLast ? say.toTheOverview : say.next}
        hint={isLast ? say.toTheOverviewHint : say.nextHint}
        onPress={() => acts.next('')}
        style={quick ? styles.narrow : styles.broad}
      />
    </View>
  );
}

const styles = StyleSheet.create({
  row: { width: '100%', maxWidth: 560, alignSelf: 'center', flexDirection: 'row', gap: SPACE.s },
  narrow: { width: 56, minHeight: 56 },
  broad: { flex: 1 },
});
