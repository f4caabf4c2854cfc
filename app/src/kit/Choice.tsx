import { StyleSheet, View } from 'react-native';
import { Press } from './Press';
import { SPACE } from './tokens';
import { Label } from './Words';

interface ChoiceProps<T extends string> {
  readonly label: string;
  readonly options: readonly T[];
  readonly word: (option: T) => string;
  readonly value: T | null;
  readonly onChoose: (option: T) => void;
  readonly hideLabel?: boolean;
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
export function Choice<T extends string>({ label, options, word, value, onChoose, hideLabel }: ChoiceProps<T>) {
  const first = value !== null && options.includes(value) ? value : options[0];
  return (
    <View role="radiogroup" aria-label={label} style={styles.choice} {...ARROWS}>
      {hideLabel ? null : (
        <Label size="m" soft>
          {label}
        </Label>
      )}
      <View style={styles.row}>
        {options.map((option) => (
          <Press
            key={option}
            role="radio"
            label={word(option)}
            chosen={option === value}
            tabIndex={option === first ? 0 : -1}
            onPress={() => onChoose(option)}
          />
        ))}
      </View>
    </View>
  );
}

const styles = StyleSheet.create({
  choice: { gap: SPACE.xs },
  row: { flexDirection: 'row', flexWrap: 'wrap', gap: SPACE.s },
});
