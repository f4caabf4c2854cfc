import { useState, type ReactNode } from 'react';
import { Pressable, StyleSheet, View } from 'react-native';
import { SPACE, TOUCH } from '../../kit/tokens';
import { usePalette } from '../../kit/theme';
import { Label, Words } from '../../kit/Words';

interface RuleLineProps {
  /** A question of a few words. */
  readonly question: string;
  readonly answer: string;
  /** What the rule does, in one sentence. */
  readonly effect: string;
  /** What it is answered with. */
  readonly children: ReactNode;
}

/** One rule on one line, its answer beside it; a tap tells what it does and lets it be answered otherwise. */
export function RuleLine({ question, answer, effect, children }: RuleLineProps) {
  const palette = usePalette();
  const [open, setOpen] = useState(false);
  return (
    <View style={[styles.rule, { borderColor: palette.rule }]}>
      <Pressable
        role="button"
        aria-label={`${question}: ${answer}`}
        aria-expanded={open}
        onPress={() => setOpen(!open)}
        style={styles.line}
      >
        <Words style={styles.question}>{question}</Words>
        <Label size="l" style={styles.answer}>
          {answer}
        </Label>
      </Pressable>
      {open ? (
        <View style={styles.inside}>
          <Words size="m" soft>
            {effect}
          </Words>
          {children}
        </View>
      ) : null}
    </View>
  );
}

const styles = StyleSheet.create({
  rule: { borderTopWidth: 1 },
  line: { minHeight: TOUCH.least, flexDirection: 'row', alignItems: 'center', gap: SPACE.m },
  question: { flex: 3 },
  answer: { flex: 2, textAlign: 'right' },
  inside: { gap: SPACE.s, paddingBottom: SPACE.m },
});
