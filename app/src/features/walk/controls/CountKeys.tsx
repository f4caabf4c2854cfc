import type { CountedItem } from '@weskopos/core';
import { StyleSheet, View } from 'react-native';
import { Press } from '../../../kit/Press';
import { SPACE } from '../../../kit/tokens';
import { Label, Words } from '../../../kit/Words';
import { controls as say } from '@weskopos/words/en/pages/controls';
import type { Counting } from './counting';

const MOST = 99;

interface CountKeysProps {
  readonly item: CountedItem;
  readonly name: string;
  readonly counting: Counting;
  /** Whether one less is said here too. */
  readonly less?: boolean;
}

/** What is said of one thing that is counted: one put right, fewer or more in all. */
export function CountKeys({ item, name, counting, less = false }: CountKeysProps) {
  const { good, of, found } = counting.of(item);
  const told = counting.isTold(item);
  return (
    <View style={styles.row}>
      <View style={styles.name}>
        <Label size="l">{name}</Label>
        <Words size="m" soft>
          {told ? `${found === null ? '' : say.foundGood(found, of)}${say.countOf(good, of)}` : say.notCounted(of)}
        </Words>
      </View>
      {less ? (
        <Press
          label={say.oneLess}
          hint={say.oneLessOf(name)}
          onPress={() => counting.set(item, { good: good - 1, found: null })}
        />
      ) : null}
      {told && good < of ? (
        <Press
          label={say.putRightOne}
          hint={say.putRight(name)}
          onPress={() => counting.set(item, { good: good + 1, found: found ?? good })}
        />
      ) : null}
      <Press label="−" hint={say.fewerInAll(name)} onPress={() => counting.set(item, { of: Math.max(1, of - 1) })} />
      <Press
        label="+"
        hint={say.moreInAll(name)}
        onPress={() => counting.set(item, { of: Math.min(MOST, of + 1), ...(good === of ? { good: of + 1 } : {}) })}
      />
    </View>
  );
}

const styles = StyleSheet.create({
  row: { flexDirection: 'row', flexWrap: 'wrap', alignItems: 'center', gap: SPACE.s },
  name: { flexGrow: 1, flexBasis: 96 },
});
