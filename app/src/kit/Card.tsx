import type { ReactNode } from 'react';
import { StyleSheet, View, type ViewStyle } from 'react-native';
import { CORNER, SPACE } from './tokens';
import { usePalette } from './theme';

/** A sheet lying on the ground of the page. */
export function Card({
  children,
  style,
  ground,
}: {
  readonly children: ReactNode;
  readonly style?: ViewStyle;
  readonly ground?: string;
}) {
  const palette = usePalette();
  return (
    <View style={[styles.card, { backgroundColor: ground ?? palette.card, borderColor: palette.rule }, style]}>
      {children}
    </View>
  );
}

const styles = StyleSheet.create({ card: { borderWidth: 1, borderRadius: CORNER.m, padding: SPACE.m, gap: SPACE.s } });
