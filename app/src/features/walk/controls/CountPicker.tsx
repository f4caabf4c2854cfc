import { cataloguePoint } from '@weskopos/core';
import { StyleSheet, View } from 'react-native';
import { Press } from '../../../kit/Press';
import { SPACE } from '../../../kit/tokens';
import { pointName } from '@weskopos/words/show';
import { controls as say } from '@weskopos/words/en/pages/controls';
import { common } from '@weskopos/words/en/pages/common';
import type { ControlProps } from './control';
import { CountKeys } from './CountKeys';
import { LampPicker } from './LampPicker';
import { countingOf } from './counting';

/** n of N: lamp by lamp on their tiles, or fixings, nipples and hangers as a whole. */
export function CountPicker(props: ControlProps) {
  const { point } = props.pointRef;
  const lamps = cataloguePoint(point).counted === 'lamps';
  const counting = countingOf(props);
  return (
    <View style={styles.list}>
      {lamps && !counting.isCounted ? null : (
        <Press
          role="checkbox"
          label={lamps ? common.allLit : say.allThereAndTight(counting.of('all').of)}
          chosen={counting.isAll}
          onPress={counting.all}
        />
      )}
      {lamps ? (
        <LampPicker counting={counting} />
      ) : (
        <CountKeys item="all" name={pointName(point)} counting={counting} less />
      )}
    </View>
  );
}

const styles = StyleSheet.create({ list: { gap: SPACE.s } });
