import type { ReactNode } from 'react';
import { ScrollView, StyleSheet, View } from 'react-native';
import { Press } from './Press';
import { SPACE, TOUCH } from './tokens';
import { OWN_FINGER } from './ownFinger';
import { Label } from './Words';

interface ChoiceProps<T extends string> {
  readonly label: string;
  readonly options: readonly T[];
  readonly word: (option: T) => string;
  readonly value: T | null;
  readonly onChoose: (option: T) => void;
  readonly hideLabel?: boolean;
  /** A small drawing over each word, all as broad. */
  readonly drawn?: (option: T, chosen: boolean) => ReactNode;
  /** What is shown where the word is too long for a drawing's breadth; the word is still what is heard. */
  readonly short?: (option: T) => string;
  /** On one line that slides, the likely ones first. */
  readonly oneLine?: boolean;
}

const STEPS: Readonly<Record<string, number>> = { ArrowRight: 1, ArrowDown: 1, ArrowLeft: -1, ArrowUp: -1 };

/** The group is one stop of the tab key; arrows lead through it, and choose nothing by themselves: a choice may be a record. */
const ARROWS = {
  onKeyDown: (event: {
    key: string;
    currentTarget: unknown;
    preventDefault: () => void;
    stopPropagation: () => void;
  }) => {
    const step = STEPS[event.key];
    const radios = [...(event.currentTarget as HTMLElement).querySelectorAll<HTMLElement>('[role="radio"]')];
    const at = radios.findIndex((one) => one === document.activeElement);
    if (step === undefined || at < 0) return;
    event.preventDefault();
    event.stopPropagation();
    radios[(at + step + radios.length) % radios.length]?.focus();
  },
};

/** One of a few, all in sight. */
export function Choice<T extends string>(props: ChoiceProps<T>) {
  const { label, options, word, value, onChoose, hideLabel, drawn, short, oneLine } = props;
  const first = value !== null && options.includes(value) ? value : options[0];
  const presses = options.map((option) => (
    <Press
      key={option}
      role="radio"
      label={short ? short(option) : word(option)}
      hint={word(option)}
      {...(drawn
        ? { icon: drawn(option, option === value), style: options.length > 5 ? styles.third : styles.tile }
        : {})}
      chosen={option === value}
      tabIndex={option === first ? 0 : -1}
      onPress={() => onChoose(option)}
    />
  ));
  return (
    <View role="radiogroup" aria-label={label} style={styles.choice} {...ARROWS}>
      {hideLabel ? null : (
        <Label size="m" soft>
          {label}
        </Label>
      )}
      {oneLine ? (
        <ScrollView horizontal contentContainerStyle={styles.line} {...OWN_FINGER}>
          {presses}
        </ScrollView>
      ) : (
        <View style={styles.row}>{presses}</View>
      )}
    </View>
  );
}

const TILE = {
  flexDirection: 'column',
  flexGrow: 1,
  paddingHorizontal: SPACE.xs,
  paddingVertical: SPACE.s,
  gap: SPACE.xs,
} as const;

const styles = StyleSheet.create({
  choice: { gap: SPACE.xs },
  row: { flexDirection: 'row', flexWrap: 'wrap', gap: SPACE.s },
  line: { gap: SPACE.s },
  tile: { ...TILE, flexBasis: TOUCH.least },
  third: { ...TILE, flexBasis: '30%' },
});
