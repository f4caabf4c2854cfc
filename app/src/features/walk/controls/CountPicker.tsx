import { LAMPS, USUAL_LAMPS, cataloguePoint, type Count, type CountedItem, type SpecSheet } from '@weskopos/core';
import { StyleSheet, View } from 'react-native';
import { Press } from '../../../kit/Press';
import { SPACE } from '../../../kit/tokens';
import { Label, Words } from '../../../kit/Words';
import { words } from '../../../words/en';
import { capital, pointName } from '../../../words/show';
import { lookChange } from '../../../visit/readings';
import type { ControlProps } from './control';
import { controls as say } from '../../../words/en/pages/controls';
import { common } from '../../../words/en/pages/common';

/** What an uncounted thing is taken to be many of, until told otherwise. */
const USUAL_FIXINGS = 5;
const MOST = 99;

/** Nipples of every pivot of the spec sheet; null where it has none. */
const nipplesOf = ({ pivots }: SpecSheet) => pivots.reduce((sum, { nipples }) => sum + nipples, 0) || null;

/** n of N: lamp by lamp, or fixings, nipples and hangers as a whole. */
export function CountPicker({ pointRef, finding, background, put }: ControlProps) {
  const lamps = cataloguePoint(pointRef.point).counted === 'lamps';
  const last = background.history.lastLook(pointRef)?.finding;
  const { spec } = background.grading.vehicle;
  const studs = pointRef.point === 'wheel.bolts' ? spec.studs : null;
  const nipples = pointRef.point === 'plant.grease.own' ? nipplesOf(spec) : null;
  const usual = (item: CountedItem) =>
    last?.counts.find((count) => count.item === item)?.of ??
    (item === 'all' ? (studs ?? nipples ?? USUAL_FIXINGS) : USUAL_LAMPS[item]);
  const items: readonly CountedItem[] = lamps ? LAMPS : ['all'];
  const countOf = (counts: readonly Count[], item: CountedItem) => counts.find((count) => count.item === item);
  const set = (item: CountedItem, change: Partial<Count>) =>
    put(pointRef, (before) => {
      const standing = before?.counts ?? [];
      const whole = { item, good: usual(item), of: usual(item), found: null };
      const next: Count = { ...whole, ...countOf(standing, item), ...change };
      const within = (count: number) => Math.max(0, Math.min(count, next.of));
      const kept = { ...next, good: within(next.good), found: next.found === null ? null : within(next.found) };
      // The first lamp that is out says of the others that they were looked at and lit.
      const others =
        standing.length > 0
          ? standing
          : items.map((one) => ({ item: one, good: usual(one), of: usual(one), found: null }));
      return lookChange(before, { counts: [...others.filter((count) => count.item !== item), kept] });
    });
  const counts = finding?.counts ?? [];
  return (
    <View style={styles.list}>
      <Press
        role="checkbox"
        label={lamps ? common.allLit : say.allThereAndTight(usual('all'))}
        chosen={counts.length > 0 && counts.every(({ good, of }) => good === of)}
        onPress={() =>
          put(pointRef, (before) =>
            lookChange(before, {
              counts: items.map((item) => ({ item, good: usual(item), of: usual(item), found: null })),
            }),
          )
        }
      />
      {items.map((item) => {
        const count = countOf(counts, item);
        const good = count?.good ?? usual(item);
        const of = count?.of ?? usual(item);
        const name = item === 'all' ? pointName(pointRef.point) : capital(words.lamp[item]);
        return (
          <View key={item} style={styles.row}>
            <View style={styles.name}>
              <Label size="l">{name}</Label>
              <Words size="m" soft>
                {count
                  ? `${count.found === null ? '' : say.foundGood(count.found, of)}${say.countOf(good, of)}`
                  : say.notCounted(of)}
              </Words>
            </View>
            <Press
              label={say.oneLess}
              hint={say.oneLessOf(name)}
              onPress={() => set(item, { good: good - 1, found: null })}
            />
            {count && good < of ? (
              <Press
                label={say.putRightOne}
                hint={say.putRight(name)}
                onPress={() => set(item, { good: good + 1, found: count.found ?? good })}
              />
            ) : null}
            <Press label="−" hint={say.fewerInAll(name)} onPress={() => set(item, { of: Math.max(1, of - 1) })} />
            <Press
              label="+"
              hint={say.moreInAll(name)}
              onPress={() => set(item, { of: Math.min(MOST, of + 1), ...(good === of ? { good: of + 1 } : {}) })}
            />
          </View>
        );
      })}
    </View>
  );
}

const styles = StyleSheet.create({
  list: { gap: SPACE.s },
  row: { flexDirection: 'row', alignItems: 'center', gap: SPACE.xs },
  name: { flex: 1 },
});
