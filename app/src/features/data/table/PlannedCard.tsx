import type { SheetPlan } from '@weskopos/contract';
import { SHEETS_PATH } from '@weskopos/contract/device';
import { ROW_FATES, type DoubtAnswer, type DoubtAnswers } from '@weskopos/core/sheets/rowFate';
import type { SheetDoubtCode } from '@weskopos/core/sheets/rowReader';
import type { SheetKind } from '@weskopos/core/sheets/sheetKinds';
import { StyleSheet, View } from 'react-native';
import { Card } from '../../../kit/Card';
import { Choice } from '../../../kit/Choice';
import { Press } from '../../../kit/Press';
import { saveFrom } from '../../../kit/saveFrom';
import { usePalette } from '../../../kit/theme';
import { SPACE } from '../../../kit/tokens';
import { Heading, Words } from '../../../kit/Words';
import { table as say } from '@weskopos/words/en/pages/table';

/** So many rows are told on the page. */
const MOST_SHOWN = 12;

/** Of a visit it is told why its meter went back; of anything else it only counts or not. */
const answersTo = (code: SheetDoubtCode, kind: SheetKind): readonly DoubtAnswer[] =>
  code === 'behind' && kind === 'readings' ? ['leave', 'meter-replaced', 'last-misread'] : ['leave', 'keep'];

/** What becomes of the rows, in figures. */
export function FatesCard({ plan }: { readonly plan: SheetPlan }) {
  const palette = usePalette();
  const made = say.makes(plan.makes);
  const colours = { fresh: palette.ink, same: palette.soft, doubtful: palette.advisory, refused: palette.fail };
  return (
    <Card>
      <View role="status" aria-live="polite" style={styles.told}>
        {ROW_FATES.filter((fate) => plan.rows[fate] > 0).map((fate) => (
          <Words key={fate} strong={fate !== 'same'} colour={colours[fate]}>
            {say.fates(fate, plan.rows[fate])}
          </Words>
        ))}
        <Words>{made === '' ? say.nothing : say.becomes(made)}</Words>
        {plan.strangers.length > 0 ? <Words soft>{say.strangers(plan.strangers.join(', '))}</Words> : null}
      </View>
    </Card>
  );
}

interface DoubtsCardProps {
  readonly kind: SheetKind;
  readonly plan: SheetPlan;
  readonly answers: DoubtAnswers;
  readonly busy: boolean;
  readonly onAnswer: (code: SheetDoubtCode, answer: DoubtAnswer) => void;
}

/** What is odd, asked once for all rows of it. */
export function DoubtsCard({ kind, plan, answers, busy, onAnswer }: DoubtsCardProps) {
  if (plan.doubts.length === 0) return null;
  return (
    <Card>
      <Heading level={2}>{say.asked}</Heading>
      {plan.doubts.map(({ code, rows }) => (
        <View key={code} style={styles.told}>
          <Words>{`${say.doubt[code]} ${say.rowsOf(rows)}.`}</Words>
          <Choice
            label={say.doubt[code]}
            hideLabel
            options={answersTo(code, kind)}
            word={(answer) => say.answer[answer]}
            value={answers[code] ?? null}
            onChoose={(answer) => (busy ? undefined : onAnswer(code, answer))}
          />
        </View>
      ))}
    </Card>
  );
}

/** Rows that are refused or odd, each with its field and what may stand there. */
export function RowsCard({ plan }: { readonly plan: SheetPlan }) {
  const { told, rows, id } = plan;
  const more = rows.refused + rows.doubtful - Math.min(MOST_SHOWN, told.length);
  return (
    <Card>
      {told.slice(0, MOST_SHOWN).map(({ row, faults, doubts }) => (
        <View key={row}>
          <Words strong>{say.row(row)}</Words>
          {faults.map(({ field, code, written, allowed }) => (
            <Words key={`${field} ${code}`}>{say.told(say.field[field], written, say.fault[code], allowed)}</Words>
          ))}
          {doubts.map(({ field, code, written, allowed }) => (
            <Words key={`${field} ${code}`}>{say.odd(say.field[field], written, say.doubt[code], allowed)}</Words>
          ))}
        </View>
      ))}
      {more > 0 ? <Words soft>{say.moreRows(more)}</Words> : null}
      <Press label={say.list} onPress={() => saveFrom(`${SHEETS_PATH}/${id}/report`)} />
    </Card>
  );
}

const styles = StyleSheet.create({ told: { gap: SPACE.s } });
