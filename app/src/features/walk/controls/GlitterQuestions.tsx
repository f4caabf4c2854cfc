import { ENGINE_ANSWERS, PAN_ANSWERS, asksOfGlitter, type Finding, type Word } from '@weskopos/core';
import { StyleSheet, View } from 'react-native';
import { Choice } from '../../../kit/Choice';
import { SPACE } from '../../../kit/tokens';
import { Words } from '../../../kit/Words';
import { lookChange } from '../../../visit/readings';
import { words } from '@weskopos/words/en';
import { capital } from '@weskopos/words/show';
import type { ControlProps } from './control';
import { controls as say } from '@weskopos/words/en/pages/controls';

const QUESTIONS = [
  { label: say.panClean, answers: PAN_ANSWERS },
  { label: say.freshEngine, answers: ENGINE_ANSWERS },
] as const;

const withAnswer = (finding: Finding | undefined, answer: Word, answers: readonly Word[]) =>
  lookChange(finding, { words: [...(finding?.words ?? []).filter((word) => !answers.includes(word)), answer] });

/** Where metal in a drained fluid may come from: asked before it is graded. */
export function GlitterQuestions({ pointRef, finding, put }: ControlProps) {
  const said = finding?.words ?? [];
  if (!asksOfGlitter(pointRef.point, said)) return null;
  return (
    <View style={styles.questions}>
      <Words size="m">{say.glitterAsked}</Words>
      {QUESTIONS.map(({ label, answers }) => (
        <Choice<Word>
          key={label}
          label={label}
          options={answers}
          word={(answer) => capital(words.word[answer])}
          value={answers.find((answer) => said.includes(answer)) ?? null}
          onChoose={(answer) => put(pointRef, (before) => withAnswer(before, answer, answers))}
        />
      ))}
    </View>
  );
}

const styles = StyleSheet.create({ questions: { gap: SPACE.s } });
