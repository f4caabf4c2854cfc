import { BASES, MEASURES, parseMeasure, type LimitRow, type Threshold, type Unit } from '@weskopos/core';
import { StyleSheet, View } from 'react-native';
import { Choice } from '../../kit/Choice';
import { Field } from '../../kit/Field';
import { Press } from '../../kit/Press';
import { SPACE } from '../../kit/tokens';
import { Words } from '../../kit/Words';
import { words } from '@weskopos/words/en';
import { capital } from '@weskopos/words/show';
import { FigureField } from './FigureField';
import { limitSentence } from './limitWords';
import { rules as say } from '@weskopos/words/en/pages/rules';

interface LimitRowEditorProps {
  readonly row: LimitRow;
  readonly problemAt: (threshold: number) => string | undefined;
  readonly onChange: (row: LimitRow) => void;
  readonly onTakeOut: () => void;
}

/** The edges of one limit, edited in place: value, basis, source. */
export function LimitRowEditor({ row, problemAt, onChange, onTakeOut }: LimitRowEditorProps) {
  const unit: Unit = row.kind === 'value' ? MEASURES[row.measure].unit : 'step';
  const set = (index: number, change: Partial<Threshold>) =>
    onChange({ ...row, thresholds: row.thresholds.map((edge, at) => (at === index ? { ...edge, ...change } : edge)) });
  return (
    <View style={styles.row}>
      <Words>{limitSentence(row)}</Words>
      {row.thresholds.map((edge, index) => {
        const name = `${capital(edge.grade)} ${edge.bad === 'below' ? 'under' : edge.inclusive ? 'from' : 'over'}`;
        const problem = problemAt(index);
        return (
          <View key={index} style={styles.edge}>
            <FigureField
              label={`${name}${unit === 'step' || unit === 'level' ? '' : `, ${unit}`}`}
              value={edge.value}
              problem={problem && words.ruleProblem[problem]}
              read={(text) => {
                const parsed = parseMeasure(text, unit);
                return parsed.status === 'value' ? parsed.stored : NaN;
              }}
              onValue={(value) => set(index, { value })}
            />
            <Choice
              label={say.basis}
              hideLabel
              options={BASES}
              word={(basis) => words.basis[basis]}
              value={edge.basis}
              onChoose={(basis) => set(index, { basis })}
            />
            <Field
              label={say.source}
              value={edge.source}
              onChangeText={(source) => set(index, { source })}
              maxLength={200}
            />
          </View>
        );
      })}
      <Press label={say.takeThisRowOut} onPress={onTakeOut} style={styles.aside} />
    </View>
  );
}

const styles = StyleSheet.create({
  row: { gap: SPACE.s, paddingBottom: SPACE.m },
  aside: { alignSelf: 'flex-start' },
  edge: { gap: SPACE.xs, paddingBottom: SPACE.s },
});
