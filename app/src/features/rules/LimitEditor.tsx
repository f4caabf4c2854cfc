import { type LimitSheet, type Rulebook, type RulebookProblem } from '@weskopos/core';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { Choice } from '../../kit/Choice';
import { Press } from '../../kit/Press';
import { SPACE } from '../../kit/tokens';
import { LimitTable } from './LimitTable';
import { LeakMatrix, WordWeights } from './SheetWords';
import { rules as say } from '@weskopos/words/en/pages/rules';
import { common } from '@weskopos/words/en/pages/common';

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
      <View style={styles.line}>
        <Choice
          label={say.sheet}
          options={rulebook.sheets.map((one) => one.code)}
          word={(one) => one}
          value={sheet.code}
          onChoose={setCode}
        />
        <Press label={say.copyThisSheet} onPress={copy} style={styles.aside} />
      </View>
      <Choice
        label={say.partOfTheSheet}
        hideLabel
        options={PARTS}
        word={(one) => PART_WORDS[one]}
        value={part}
        onChoose={setPart}
      />
      {part === 'measures' ? (
        <LimitTable
          key={sheet.code}
          sheet={sheet}
          problemAt={(row, n) =>
            problems.find(({ field }) => field === `sheets.${index}.rows.${row}.thresholds.${n}.value`)?.code
          }
          onChange={change}
        />
      ) : null}
      {part === 'leaks' ? <LeakMatrix sheet={sheet} onChange={change} /> : null}
      {part === 'words' ? <WordWeights sheet={sheet} onChange={change} /> : null}
    </>
  );
}

const styles = StyleSheet.create({
  line: { flexDirection: 'row', flexWrap: 'wrap', alignItems: 'flex-end', gap: SPACE.s },
  aside: { alignSelf: 'flex-end' },
});
