import { Pressable, StyleSheet } from 'react-native';
import { followedByEnter } from './followedByEnter';
import { usePalette } from './theme';
import { SPACE } from './tokens';
import { HEARD_ONLY, Label } from './Words';

interface SkipLinkProps {
  readonly label: string;
  readonly onGo: () => void;
}

/** A way past what lies between, for whoever goes by the tab key: seen while it has the focus. */
export function SkipLink({ label, onGo }: SkipLinkProps) {
  const palette = usePalette();
  return (
    <Pressable
      role="link"
      {...followedByEnter(onGo)}
      onPress={onGo}
      style={(state) => (isFocused(state) ? [styles.skip, { backgroundColor: palette.card }] : HEARD_ONLY)}
      {...{ dataSet: { print: 'hide' } }}
    >
      <Label>{label}</Label>
    </Pressable>
  );
}

const isFocused = (state: object) => 'focused' in state && state.focused === true;

const styles = StyleSheet.create({
  skip: { position: 'absolute', zIndex: 1, top: SPACE.s, left: SPACE.s, padding: SPACE.m },
});
