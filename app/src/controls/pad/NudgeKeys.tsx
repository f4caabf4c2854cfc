import Ellipsis from 'lucide-react-native/icons/ellipsis';
import { useEffect, useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { KEEPS_FOCUS } from '../../kit/pad';
import { Press } from '../../kit/Press';
import { SPACE } from '../../kit/tokens';
import { usePalette } from '../../kit/theme';
import { followFocus } from './followFocus';
import { pad as say } from '@weskopos/words/en/pages/pad';

/** The tape a finger was last on; null when it is on something else. */
export function useTouchedTape(): HTMLElement | null {
  const [tape, setTape] = useState<HTMLElement | null>(null);
  useEffect(
    () => followFocus((to) => setTape(to instanceof HTMLElement && to.dataset['step'] !== undefined ? to : null)),
    [],
  );
  return tape;
}

const arrow = (tape: HTMLElement, key: 'ArrowUp' | 'ArrowDown') =>
  tape.dispatchEvent(new KeyboardEvent('keydown', { key, bubbles: true, cancelable: true }));

/** Steps of the tape under the thumb: finer than a gloved finger can slide. */
export function NudgeKeys({ tape }: { readonly tape: HTMLElement }) {
  const palette = usePalette();
  const step = tape.dataset['step'] ?? '';
  const label = tape.getAttribute('aria-label') ?? '';
  return (
    <View role="group" aria-label={label} style={styles.keys} {...KEEPS_FOCUS}>
      <Press
        label={say.less(step)}
        hint={say.lessOf(label, step)}
        onPress={() => arrow(tape, 'ArrowDown')}
        style={styles.key}
      />
      <Press
        label={say.more(step)}
        hint={say.moreOf(label, step)}
        onPress={() => arrow(tape, 'ArrowUp')}
        style={styles.key}
      />
      <Press
        label={say.typeIt}
        hint={say.typeItHint}
        onPress={() => tape.parentElement?.querySelector('input')?.focus()}
        style={styles.key}
      />
      <Press
        label=""
        hint={say.other}
        icon={<Ellipsis color={palette.ink} size={22} />}
        onPress={() => tape.blur()}
        style={styles.key}
      />
    </View>
  );
}

const styles = StyleSheet.create({
  keys: { flex: 1, flexDirection: 'row', gap: SPACE.s },
  key: { flexGrow: 1, flexBasis: 48, paddingHorizontal: SPACE.xs },
});
