import type { Href } from 'expo-router';
import { StyleSheet } from 'react-native';
import { LinkPress } from './LinkPress';
import { usePalette } from './theme';
import { CORNER, SPACE, TOUCH } from './tokens';
import { Label } from './Words';

/** A link as broad and as plain to see as a button. */
export function LinkButton({ href, label }: { readonly href: Href; readonly label: string }) {
  const palette = usePalette();
  return (
    <LinkPress href={href} style={[styles.link, { borderColor: palette.rule }]}>
      <Label style={styles.centre}>{label}</Label>
    </LinkPress>
  );
}

const styles = StyleSheet.create({
  link: {
    minHeight: TOUCH.least,
    justifyContent: 'center',
    paddingHorizontal: SPACE.m,
    borderWidth: 1,
    borderRadius: CORNER.s,
  },
  centre: { textAlign: 'center' },
});
