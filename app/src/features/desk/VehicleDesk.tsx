import { Slot, usePathname } from 'expo-router';
import { FlatList, StyleSheet, View, useWindowDimensions } from 'react-native';
import { SPACE } from '../../kit/tokens';
import { usePalette } from '../../kit/theme';
import { isWalk, vehicleOf } from '../../shell/spine/vehiclePages';
import { VehicleLine } from '../yard/VehicleLine';
import { useYard } from '../yard/useYard';
import { yard as say } from '@weskopos/words/en/pages/yard';

/** From this width the list of vehicles stays beside the one that is looked at, px. */
const LIST_FROM = 1200;
const LIST = 300;

/** A vehicle's pages; on a desk with the list of all vehicles beside them. The walk has the room to itself. */
export function VehicleDesk() {
  const path = usePathname();
  const { width } = useWindowDimensions();
  if (width < LIST_FROM || isWalk(path)) return <Slot />;
  return (
    <View style={styles.desk}>
      <List here={vehicleOf(path)} />
      <View style={styles.page}>
        <Slot />
      </View>
    </View>
  );
}

function List({ here }: { readonly here: string | null }) {
  const palette = usePalette();
  const entries = useYard();
  return (
    <View
      role="complementary"
      aria-label={say.all}
      style={[styles.list, { borderColor: palette.rule }]}
      {...{ dataSet: { print: 'hide' } }}
    >
      <FlatList
        data={entries}
        keyExtractor={({ vehicle }) => vehicle.id}
        renderItem={({ item }) => <VehicleLine entry={item} current={item.vehicle.id === here} brief />}
        contentContainerStyle={styles.inside}
      />
    </View>
  );
}

const styles = StyleSheet.create({
  desk: { flex: 1, flexDirection: 'row' },
  list: { width: LIST, borderRightWidth: 1 },
  inside: { padding: SPACE.m },
  page: { flex: 1 },
});
