import type { YardEntry } from '@weskopos/contract';
import { useRouter } from 'expo-router';
import { memo, useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { Choice } from '../../kit/Choice';
import { LongList } from '../../kit/LongList';
import { Press } from '../../kit/Press';
import { SPACE } from '../../kit/tokens';
import { useAfterPaint } from '../../kit/useAfterPaint';
import { useIsWide } from '../../kit/theme';
import { Heading, Words } from '../../kit/Words';
import { words } from '@weskopos/words/en';
import { common } from '@weskopos/words/en/pages/common';
import { yard as say } from '@weskopos/words/en/pages/yard';
import { VehicleLine } from './VehicleLine';
import { ORDERS, STANDS, ordered, standing, type Order, type Stands } from './lines';

const ORDER_WORDS: Readonly<Record<Order, string>> = { code: say.byCode, worst: say.byWorst, looked: say.byLooked };
const standsWord = (one: Stands) =>
  one === 'all' ? say.anyStanding : one === 'not-seen' ? say.never : words.grade[one];

/** All vehicles as short lines, in an order; at the desk also those alone that stand so, or are of a class. */
export const Everything = memo(function Everything({ entries }: { readonly entries: readonly YardEntry[] }) {
  const router = useRouter();
  const wide = useIsWide();
  const [order, setOrder] = useState<Order>('code');
  const [stands, setStands] = useState<Stands>('all');
  const [of, setOf] = useState<YardEntry['vehicle']['class'] | 'all'>('all');
  const classes = [...new Set(entries.map(({ vehicle }) => vehicle.class))].sort();
  // The touch is answered at once, the list a moment later.
  const [byOrder, byStands, byClass] = [useAfterPaint(order), useAfterPaint(stands), useAfterPaint(of)];
  const shown = wide
    ? standing(entries, byStands).filter(({ vehicle }) => byClass === 'all' || vehicle.class === byClass)
    : entries;
  const many = entries.length > MANY;
  return (
    <View>
      <View style={styles.head}>
        <Heading level={2} size="l" soft style={styles.grow}>
          {say.all}
        </Heading>
        <Press kind="quiet" label={common.addAVehicle} onPress={() => router.push('/vehicle/new')} />
      </View>
      {many ? (
        <View style={styles.choices}>
          <Choice
            label={say.order}
            hideLabel
            options={ORDERS}
            word={(one) => ORDER_WORDS[one]}
            value={order}
            onChoose={setOrder}
          />
          {wide ? (
            <Choice
              label={say.thatStand}
              hideLabel
              oneLine
              options={STANDS}
              word={standsWord}
              value={stands}
              onChoose={setStands}
            />
          ) : null}
          {wide && classes.length > 1 ? (
            <Choice
              label={say.ofClass}
              hideLabel
              oneLine
              options={['all', ...classes] as const}
              word={(one) => (one === 'all' ? say.anyClass : words.vehicleClass[one])}
              value={of}
              onChoose={setOf}
            />
          ) : null}
        </View>
      ) : null}
      {shown.length === 0 ? <Words soft>{say.noneOfThese}</Words> : null}
      <LongList items={ordered(shown, byOrder)} keyOf={({ vehicle }) => vehicle.id} height={LINE}>
        {(entry) => <VehicleLine entry={entry} />}
      </LongList>
    </View>
  );
});
/** Fewer are seen at a glance in any order. */
const MANY = 5;
/** Height of a line, px. */
const LINE = 66;

const styles = StyleSheet.create({
  head: { flexDirection: 'row', alignItems: 'center', gap: SPACE.s },
  choices: { gap: SPACE.s, paddingBottom: SPACE.s },
  grow: { flex: 1 },
});
