import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { Card } from '../../kit/Card';
import { Choice } from '../../kit/Choice';
import { Field } from '../../kit/Field';
import { Page } from '../../shell/Page';
import { Press } from '../../kit/Press';
import { SPACE } from '../../kit/tokens';
import { useIsWide } from '../../kit/theme';
import { Heading, Label, Words } from '../../kit/Words';
import { capital } from '@weskopos/words/show';
import { FLUID_SUMS } from './fluidSums';
import { OTHER_SUMS } from './otherSums';
import { answerOf, type Sum } from './sum';
import { TYRE_SUMS } from './tyreSums';
import { bench as say } from '@weskopos/words/en/pages/bench';
import { common } from '@weskopos/words/en/pages/common';

export const SUMS: readonly Sum[] = [...TYRE_SUMS, ...FLUID_SUMS, ...OTHER_SUMS];

/** Every sum the walk uses, on a bench of its own: what it makes of your figures, its formula, source and limits of use. */
export function BenchPage() {
  const wide = useIsWide();
  const [open, setOpen] = useState<string | null>(wide ? (SUMS[0]?.code ?? null) : null);
  const sum = SUMS.find(({ code }) => code === open);
  return (
    <Page title={common.bench} over={say.sums} width={wide ? 960 : 640}>
      <View style={wide ? styles.panes : styles.stack}>
        <View style={[styles.list, wide && styles.narrow]}>
          {SUMS.map(({ code, title }) => (
            <View key={code} style={styles.stack}>
              <Press label={title} expanded={code === open} onPress={() => setOpen(code === open ? null : code)} />
              {!wide && code === open && sum ? <SumCard key={code} sum={sum} /> : null}
            </View>
          ))}
        </View>
        {wide ? <View style={styles.pane}>{sum ? <SumCard key={sum.code} sum={sum} /> : null}</View> : null}
      </View>
    </Page>
  );
}

function SumCard({ sum }: { readonly sum: Sum }) {
  const [typed, setTyped] = useState<Readonly<Record<string, string>>>(() =>
    Object.fromEntries(sum.fields.map(({ name, usual }) => [name, usual])),
  );
  const answer = answerOf(sum, typed);
  const set = (name: string, text: string) => setTyped((before) => ({ ...before, [name]: text }));
  return (
    <Card>
      <Heading level={2}>{sum.title}</Heading>
      <View aria-live="polite" role="status">
        {answer.status === 'lines'
          ? answer.lines.map((line) => (
              <Label key={line} size="h3">
                {line}
              </Label>
            ))
          : null}
        {answer.status === 'refused' ? <Words role="alert">{capital(answer.why)}</Words> : null}
        {answer.status === 'problems' ? <Words soft>{say.somethingBelowIsNotRight}</Words> : null}
      </View>
      <View style={styles.fields}>
        {sum.fields.map((field) =>
          'options' in field ? (
            <View key={field.name} style={styles.whole}>
              <Choice
                label={field.label}
                options={field.options}
                word={(option) => capital(option.replaceAll('-', ' '))}
                value={typed[field.name] ?? null}
                onChoose={(option) => set(field.name, option)}
              />
            </View>
          ) : (
            <View key={field.name} style={styles.field}>
              <Field
                label={`${field.label}${['step', 'level'].includes(field.unit) ? '' : `, ${field.unit}`}`}
                value={typed[field.name] ?? ''}
                onChangeText={(text) => set(field.name, text)}
                inputMode="text"
                problem={answer.status === 'problems' ? answer.problems[field.name] : undefined}
              />
            </View>
          ),
        )}
      </View>
      <Words size="m" soft>
        {sum.formula}
      </Words>
      <Words size="s" soft>
        {sum.source}
      </Words>
    </Card>
  );
}

const styles = StyleSheet.create({
  panes: { flexDirection: 'row', gap: SPACE.xl, alignItems: 'flex-start' },
  stack: { gap: SPACE.s },
  list: { gap: SPACE.s },
  narrow: { width: 280 },
  pane: { flex: 1 },
  fields: { flexDirection: 'row', flexWrap: 'wrap', gap: SPACE.m },
  field: { flexBasis: 150, flexGrow: 1 },
  whole: { flexBasis: '100%' },
});
