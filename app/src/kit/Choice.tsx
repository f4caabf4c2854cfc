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

/** One of a few, all in sight. */
export function Choice<T extends string>({ label, options, word, value, onChoose, hideLabel }: ChoiceProps<T>) {
  return (
    <View role="radiogroup" aria-label={label} style={styles.choice}>
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
