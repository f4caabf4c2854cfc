import type { Ref } from 'react';
import { StyleSheet, TextInput, View, type TextInputProps } from 'react-native';
import { padded, type PadAsks } from './pad';
import { CORNER, FONT, SIZE, SPACE, TOUCH } from './tokens';
import { scaled } from './textScale';
import { usePalette } from './theme';
import { Label, Words } from './Words';

interface FieldProps extends TextInputProps {
  readonly label: string;
  /** What is wrong and what is allowed; what was typed stays. */
  readonly problem?: string | undefined;
  readonly help?: string;
  readonly hideLabel?: boolean;
  /** Figures go in: on a touch screen by the keypad. */
  readonly figures?: PadAsks;
  /** The line itself, for who sends the hand there. */
  readonly inputRef?: Ref<TextInput>;
}

/** A labelled line to type in. */
export function Field({ label, problem, help, hideLabel = false, inputRef, figures, style, ...rest }: FieldProps) {
  const palette = usePalette();
  return (
    <View style={styles.field}>
      {hideLabel ? null : (
        <Label size="m" soft>
          {label}
        </Label>
      )}
      <TextInput
        ref={inputRef}
        aria-label={label}
        aria-invalid={problem !== undefined}
        placeholderTextColor={palette.soft}
        {...rest}
        {...(figures ? padded(figures, rest.inputMode ?? 'decimal') : {})}
        style={[
          styles.input,
          { color: palette.ink, backgroundColor: palette.card, borderColor: problem ? palette.fail : palette.edge },
          rest.multiline && styles.tall,
          style,
        ]}
      />
      {problem ? (
        <Words size="m" colour={palette.fail} role="alert">
          {problem}
        </Words>
      ) : help ? (
        <Words size="s" soft>
          {help}
        </Words>
      ) : null}
    </View>
  );
}

const styles = StyleSheet.create({
  field: { gap: SPACE.xs },
  input: {
    minHeight: TOUCH.least,
    borderWidth: 1,
    borderRadius: CORNER.s,
    paddingHorizontal: SPACE.m,
    fontFamily: FONT.word,
    fontSize: scaled(SIZE.l),
  },
  tall: { minHeight: 88, paddingVertical: SPACE.s },
});
