import type { ReactNode } from 'react';
import { Pressable, StyleSheet, View, type ViewStyle } from 'react-native';
import { CORNER, SPACE, TOUCH } from './tokens';
import { usePalette } from './theme';
import { Label } from './Words';

interface PressProps {
  readonly label: string;
  readonly onPress: () => void;
  readonly kind?: 'main' | 'plain' | 'quiet';
  readonly icon?: ReactNode;
  readonly disabled?: boolean;
  /** Looks as ever and takes no touch: it has only just come up. */
  readonly deaf?: boolean;
  /** For a choice among several. */
  readonly chosen?: boolean;
  readonly role?: 'button' | 'radio' | 'checkbox' | 'link';
  /** For a button that opens something beside it. */
  readonly expanded?: boolean;
  readonly style?: ViewStyle;
  /** What a long press does; a tap stays a tap. */
  readonly onHold?: () => void;
  readonly hint?: string;
  readonly fill?: string;
  /** −1 where the arrows of its group lead to it. */
  readonly tabIndex?: 0 | -1;
}

/**
 * A press belongs to the button it began on. A field that is left by it may show a message and push the button away under
 * the finger; without this the tap would land beside it and be lost.
 */
const HOLDS_THE_POINTER = {
  onPointerDown: ({ currentTarget, nativeEvent }: { currentTarget: unknown; nativeEvent: { pointerId?: number } }) => {
    const element = currentTarget as Partial<Pick<Element, 'setPointerCapture'>>;
    if (nativeEvent.pointerId !== undefined) element.setPointerCapture?.(nativeEvent.pointerId);
  },
};

/** Space ticks and chooses as it presses a button, and does not scroll the page. */
const tickedBySpace = (onPress: () => void) => ({
  onKeyDown: (event: { key: string; preventDefault: () => void }) => {
    if (event.key !== ' ') return;
    event.preventDefault();
    onPress();
  },
});

/**
 * The one button of the app: main action, plain choice or quiet link. Never smaller than a gloved finger. Petrol is the
 * one way on; what is chosen is ink, so that a chosen *No* does not look like a pass.
 */
export function Press({
  label,
  onPress,
  kind = 'plain',
  icon,
  disabled = false,
  deaf = false,
  chosen,
  role = 'button',
  style,
  hint,
  fill,
  expanded,
  tabIndex,
  onHold,
}: PressProps) {
  const palette = usePalette();
  const taken = chosen || expanded;
  const filled = kind === 'main' || taken;
  const full = fill ?? (taken ? palette.ink : palette.pass);
  const ground = filled ? full : kind === 'quiet' ? 'transparent' : palette.card;
  const colour = disabled ? palette.soft : filled ? palette.onFill : palette.ink;
  const ticks = role === 'radio' || role === 'checkbox';
  return (
    <Pressable
      {...HOLDS_THE_POINTER}
      role={role}
      aria-label={hint ?? label}
      aria-disabled={disabled || deaf}
      {...(ticks ? { 'aria-checked': chosen ?? false } : {})}
      {...(ticks && !disabled && !deaf ? tickedBySpace(onPress) : {})}
      {...(tabIndex === undefined ? {} : { tabIndex })}
      {...(expanded === undefined ? {} : { 'aria-expanded': expanded })}
      disabled={disabled || deaf}
      onPress={onPress}
      {...(onHold ? { onLongPress: onHold } : {})}
      style={({ pressed }) => [
        styles.press,
        { minHeight: kind === 'main' ? TOUCH.hand : TOUCH.least, backgroundColor: disabled ? palette.panel : ground },
        kind !== 'quiet' && {
          borderWidth: 1,
          borderColor: filled && !disabled ? full : palette.rule,
        },
        pressed && styles.pressed,
        style,
      ]}
    >
      {icon}
      {label === '' ? null : (
        <View style={styles.label}>
          <Label size={kind === 'main' ? 'xl' : 'l'} colour={colour} style={styles.centre}>
            {label}
          </Label>
        </View>
      )}
    </Pressable>
  );
}

const styles = StyleSheet.create({
  press: {
    minWidth: TOUCH.least,
    maxWidth: '100%',
    paddingHorizontal: SPACE.m,
    borderRadius: CORNER.s,
    flexDirection: 'row',
    alignItems: 'center',
    justifyContent: 'center',
    gap: SPACE.s,
  },
  pressed: { opacity: 0.75 },
  label: { flexShrink: 1 },
  centre: { textAlign: 'center' },
});
