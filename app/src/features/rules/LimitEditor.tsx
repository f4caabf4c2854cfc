import {
  BASES,
  CATALOGUE,
  FLUIDS,
  LEAK_GRADES,
  LEAK_STAGES,
  MEASURES,
  VOCABULARIES,
  VOCABULARY_NAMES,
  WORD_GRADES,
  parseMeasure,
  wordGrade,
  type LimitRow,
  type LimitSheet,
  type Rulebook,
  type RulebookProblem,
  type Threshold,
  type Unit,
  type Vocabulary,
  type Word,
} from '@weskopos/core';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { Card } from '../../kit/Card';
import { Choice } from '../../kit/Choice';
import { Field } from '../../kit/Field';
import { Press } from '../../kit/Press';
import { SPACE } from '../../kit/tokens';
import { Heading, Label, Words } from '../../kit/Words';
import { words } from '../../words/en';
import { capital, pointName } from '../../words/show';
import { FigureField } from './FigureField';
import { rules as say } from '../../words/en/pages/rules';
import { common } from '../../words/en/pages/common';

interface LimitEditorProps {
  readonly rulebook: Rulebook;
  readonly problems: readonly RulebookProblem[];
  readonly onChange: (rulebook: Rulebook) => void;
}

const PARTS = ['measures', 'leaks', 'words'] as const;
const PART_WORDS = { measures: common.measured, leaks: say.leaks, words: common.words } as const;

/** The limit sheets: measured limits row by row, the leak matrix, and what each word weighs. */
export function LimitEditor({ rulebook, problems, onChange }: LimitEditorProps) {
  const [code, setCode] = useState(rulebook.house.sheet);
  const [part, setPart] = useState<(typeof PARTS)[number]>('measures');
  const index = Math.max(
    0,
    rulebook.sheets.findIndex((sheet) => sheet.code === code),
  );
  const sheet = rulebook.sheets[index];
  if (!sheet) return null;
  const change = (edited: LimitSheet) =>
    onChange({ ...rulebook, sheets: rulebook.sheets.map((one, at) => (at === index ? edited : one)) });
  const copy = () => {
    const fresh = `sheet-${rulebook.sheets.length + 1}`;
    onChange({ ...rulebook, sheets: [...rulebook.sheets, { ...sheet, code: fresh, version: 1 }] });
    setCode(fresh);
  };
  return (
    <>
      <Choice
        label={say.sheet}
        options={rulebook.sheets.map((one) => one.code)}
        word={(one) => one}
        value={sheet.code}
        onChoose={setCode}
      />
      <Press label={say.copyThisSheet} onPress={copy} style={styles.aside} />
      <Choice
        label={say.partOfTheSheet}
        hideLabel
        options={PARTS}
        word={(one) => PART_WORDS[one]}
        value={part}
        onChoose={setPart}
      />
      {part === 'measures'
        ? sheet.rows.map((row, at) => (
            <RowCard
              key={`${sheet.code}${at}`}
              row={row}
              problemAt={(n) =>
                problems.find(({ field }) => field === `sheets.${index}.rows.${at}.thresholds.${n}.value`)?.code
              }
              onChange={(edited) => change({ ...sheet, rows: sheet.rows.map((one, n) => (n === at ? edited : one)) })}
              onTakeOut={() => change({ ...sheet, rows: sheet.rows.filter((_, n) => n !== at) })}
            />
          ))
        : null}
      {part === 'leaks' ? <LeakMatrix sheet={sheet} onChange={change} /> : null}
      {part === 'words' ? <WordWeights sheet={sheet} onChange={change} /> : null}
    </>
  );
}

interface RowCardProps {
  readonly row: LimitRow;
  readonly problemAt: (threshold: number) => string | undefined;
  readonly onChange: (row: LimitRow) => void;
  readonly onTakeOut: () => void;
}

function RowCard({ row, problemAt, onChange, onTakeOut }: RowCardProps) {
  const unit: Unit = row.kind === 'value' ? MEASURES[row.measure].unit : 'step';
  const set = (index: number, change: Partial<Threshold>) =>
    onChange({ ...row, thresholds: row.thresholds.map((edge, at) => (at === index ? { ...edge, ...change } : edge)) });
  return (
    <Card>
      <Heading level={3}>{`${measuredAt(row)}: ${words.limitKind[row.kind]}`}</Heading>
      <Words size="m" soft>
        {appliesWords(row)}
      </Words>
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
    </Card>
  );
}

/** What is measured, by the first point that takes it: `Tread, depth`. */
function measuredAt({ measure }: LimitRow): string {
  const point = CATALOGUE.find(({ measures }) => measures.some((slot) => slot.measure === measure));
  const name = words.measure[measure];
  return point ? `${pointName(point.code)}, ${name.toLowerCase()}` : name;
}

function appliesWords({ applies }: LimitRow): string {
  const told = [
    applies.classes?.map((one) => words.vehicleClass[one].toLowerCase()).join(', '),
    applies.axles && say.axle(applies.axles),
    applies.wheels && say.wheels(applies.wheels),
    applies.season && say.season[applies.season],
    applies.brakeFluid,
    applies.charging && say.charging(applies.charging),
    applies.batteries?.map((one) => words.battery[one].toLowerCase()).join(', '),
    applies.points &&
      (applies.points.length > 3
        ? say.points(applies.points.length)
        : applies.points.map((one) => pointName(one).toLowerCase()).join(', ')),
  ].filter(Boolean);
  return told.length > 0 ? say.holdsFor(told.join('; ')) : say.forEveryVehicle;
}

interface SheetProps {
  readonly sheet: LimitSheet;
  readonly onChange: (sheet: LimitSheet) => void;
}

function LeakMatrix({ sheet, onChange }: SheetProps) {
  const [fluid, setFluid] = useState<(typeof FLUIDS)[number]>('engine-oil');
  const stages = LEAK_STAGES.filter((stage) => stage !== 'dry');
  return (
    <Card>
      <Choice
        label={common.fluid}
        options={FLUIDS}
        word={(one) => capital(words.fluid[one])}
        value={fluid}
        onChoose={setFluid}
      />
      {stages.map((stage) => (
        <Choice
          key={stage}
          label={words.stage[stage]}
          options={LEAK_GRADES}
          word={(grade) => words.leakGrade[grade]}
          value={sheet.leaks[fluid][stage]}
          onChoose={(grade) =>
            onChange({ ...sheet, leaks: { ...sheet.leaks, [fluid]: { ...sheet.leaks[fluid], [stage]: grade } } })
          }
        />
      ))}
    </Card>
  );
}

function WordWeights({ sheet, onChange }: SheetProps) {
  const [vocabulary, setVocabulary] = useState<Vocabulary>('belt');
  const list: readonly Word[] = VOCABULARIES[vocabulary];
  return (
    <Card>
      <Choice
        label={say.wordsOf}
        options={VOCABULARY_NAMES}
        word={(one) => capital(one.replaceAll('-', ' '))}
        value={vocabulary}
        onChoose={setVocabulary}
      />
      <Label size="m" soft>
        {say.whatEachWeighs}
      </Label>
      {list.map((word) => (
        <Choice
          key={word}
          label={capital(words.word[word])}
          options={WORD_GRADES}
          word={(grade) => words.wordGrade[grade]}
          value={wordGrade(sheet, vocabulary, word)}
          onChoose={(grade) =>
            onChange({
              ...sheet,
              words: { ...sheet.words, [vocabulary]: { ...sheet.words[vocabulary], [word]: grade } },
            })
          }
        />
      ))}
    </Card>
  );
}

const styles = StyleSheet.create({
  aside: { alignSelf: 'flex-start' },
  edge: { gap: SPACE.xs, paddingBottom: SPACE.s },
});
