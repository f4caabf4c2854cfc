import Delete from 'lucide-react-native/icons/delete';
import Keyboard from 'lucide-react-native/icons/keyboard';
import { useEffect } from 'react';
import { StyleSheet, View } from 'react-native';
import { KEEPS_FOCUS } from '../../kit/pad';
import { Press } from '../../kit/Press';
import { SPACE } from '../../kit/tokens';
import { usePalette } from '../../kit/theme';
import { pad as say } from '@weskopos/words/en/pages/pad';
import { padRows, type PadKey } from './padKeys';
import { askForKeyboard, erase, fieldAfter, typeText, usePad, usePadFollowsFocus } from './usePad';

/** Large keys for figures in the hand zone, while a field of figures has the focus on a touch screen. */
export function HandPad() {
  usePadFollowsFocus();
  const { field, asks } = usePad();
  const palette = usePalette();
  // The page has just become shorter: what is typed into stays in sight.
  useEffect(() => {
    field?.scrollIntoView({ block: 'center' });
  }, [field]);
  if (!field || !asks) return null;
  const after = fieldAfter(field);
  const press = (key: PadKey) => {
    if (key.kind === 'text') typeText(field, key.text);
    else if (key.kind === 'erase') erase(field);
    else if (key.kind === 'keyboard') askForKeyboard(field);
    else if (after) after.focus();
    else field.blur();
  };
  return (
    <View
      role="group"
      aria-label={say.keys}
      style={[styles.pad, { backgroundColor: palette.panel, borderColor: palette.rule }]}
      {...KEEPS_FOCUS}
    >
      {padRows(asks, say.key).map((row, index) => (
        <View key={index} style={styles.row}>
          {row.map((key) => (
            <Key key={key.kind === 'text' ? key.text : key.kind} of={key} isLast={after === null} onPress={press} />
          ))}
        </View>
      ))}
    </View>
  );
}

interface KeyProps {
  readonly of: PadKey;
  /** No field comes after this one. */
  readonly isLast: boolean;
  readonly onPress: (key: PadKey) => void;
}

function Key({ of: key, isLast, onPress }: KeyProps) {
  const palette = usePalette();
  const style = styles.key;
  switch (key.kind) {
    case 'text':
      return <Press label={key.label} hint={key.hint ?? key.label} onPress={() => onPress(key)} style={style} />;
    case 'erase':
      return (
        <Press
          label=""
          hint={say.erase}
          icon={<Delete color={palette.ink} size={24} />}
          onPress={() => onPress(key)}
          style={style}
        />
      );
    case 'keyboard':
      return (
        <Press
          label=""
          hint={say.keyboard}
          icon={<Keyboard color={palette.ink} size={24} />}
          onPress={() => onPress(key)}
          style={style}
        />
      );
    default:
      return (
        <Press
          kind="main"
          label={isLast ? say.done : say.next}
          hint={isLast ? say.doneHint : say.nextHint}
          onPress={() => onPress(key)}
          style={style}
        />
      );
  }
}

const styles = StyleSheet.create({
  pad: { borderTopWidth: 1, padding: SPACE.s, gap: SPACE.s },
  row: { flexDirection: 'row', gap: SPACE.s },
  key: { flex: 1, minHeight: 52, paddingHorizontal: SPACE.xs },
});
