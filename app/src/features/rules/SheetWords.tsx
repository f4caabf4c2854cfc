import {
  FLUIDS,
  LEAK_GRADES,
  LEAK_STAGES,
  VOCABULARIES,
  VOCABULARY_NAMES,
  WORD_GRADES,
  wordGrade,
  type LimitSheet,
  type Vocabulary,
  type Word,
} from '@weskopos/core';
import { useState } from 'react';
import { Card } from '../../kit/Card';
import { Choice } from '../../kit/Choice';
import { Label } from '../../kit/Words';
import { words } from '@weskopos/words/en';
import { capital } from '@weskopos/words/show';
import { rules as say } from '@weskopos/words/en/pages/rules';
import { common } from '@weskopos/words/en/pages/common';

interface SheetProps {
  readonly sheet: LimitSheet;
  readonly onChange: (sheet: LimitSheet) => void;
}

/** What each stage of a leak is graded, fluid by fluid. */
export function LeakMatrix({ sheet, onChange }: SheetProps) {
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

/** What each word of a point weighs. */
export function WordWeights({ sheet, onChange }: SheetProps) {
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
