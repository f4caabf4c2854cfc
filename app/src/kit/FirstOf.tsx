import { useState, type ReactNode } from 'react';
import { StyleSheet, View, type StyleProp, type ViewStyle } from 'react-native';
import { common } from '@weskopos/words/en/pages/common';
import { LongList } from './LongList';
import { Press } from './Press';
import { SPACE } from './tokens';
import { useIsPrinting } from './useIsPrinting';

interface FirstOfProps<T> {
  /** The most urgent first. */
  readonly items: readonly T[];
  readonly keyOf: (item: T) => string;
  /** Height of one before it was ever laid out, px. */
  readonly height: number;
  readonly children: (item: T) => ReactNode;
  /** How the first are laid out. */
  readonly style?: StyleProp<ViewStyle>;
  /** Of each of the first. */
  readonly each?: StyleProp<ViewStyle>;
}

/** So many are told at once, and so few more are not worth a touch. */
const FIRST = 8;
const SPARED = 4;

/** The first of a list, and a touch for all of it: what comes after it on the page stays within reach. On paper all of it. */
export function FirstOf<T>({ items, keyOf, height, children, style, each }: FirstOfProps<T>) {
  const [all, setAll] = useState(false);
  const printing = useIsPrinting();
  const isLong = items.length > FIRST + SPARED && !printing;
  if (all && !printing)
    return (
      <>
        <LongList {...{ items, keyOf, height, children }} gap={SPACE.s} />
        <Press kind="quiet" label={common.fewer} onPress={() => setAll(false)} />
      </>
    );
  return (
    <>
      <View style={[styles.first, style]}>
        {(isLong ? items.slice(0, FIRST) : items).map((item) => (
          <View key={keyOf(item)} style={each}>
            {children(item)}
          </View>
        ))}
      </View>
      {isLong ? <Press kind="quiet" label={common.allOf(items.length)} onPress={() => setAll(true)} /> : null}
    </>
  );
}

const styles = StyleSheet.create({ first: { gap: SPACE.s } });
