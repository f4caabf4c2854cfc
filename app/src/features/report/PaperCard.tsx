import {
  LANGUAGES,
  SHEET_SIZES,
  WORDINGS,
  type Language,
  type SheetSize,
  type Wording,
} from '@weskopos/contract/device';
import { useEffect, useRef, useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { Card } from '../../kit/Card';
import { Choice } from '../../kit/Choice';
import { Press } from '../../kit/Press';
import { Problem } from '../../kit/Problem';
import { SPACE } from '../../kit/tokens';
import { Words } from '../../kit/Words';
import { saveBlob } from '../../kit/saveFrom';
import { call, fetchPdf } from '../../sync/workshop';
import { report as say } from '@weskopos/words/en/pages/report';
import { problemWords } from '../../words/problemWords';

/** How a report is told: to whom, and in which language. */
export interface PaperChoice {
  readonly wording: Wording;
  readonly language: Language;
}

interface PaperCardProps {
  readonly visitId: string;
  /** What the file is kept as, without its ending. */
  readonly name: string;
  readonly choice: PaperChoice;
  readonly onChoose: (choice: PaperChoice) => void;
}

/** How often one looks how far a file is, ms. */
const LOOK_MS = 500;

/** To whom the report speaks, in which language, and on which paper it is made as a file. */
export function PaperCard({ visitId, name, choice, onChoose }: PaperCardProps) {
  const [size, setSize] = useState<SheetSize>('A4');
  const [open, setOpen] = useState(false);
  const [making, setMaking] = useState<string | null>(null);
  const [problem, setProblem] = useState<string>();
  const looking = useRef<ReturnType<typeof setInterval>>(undefined);
  useEffect(() => () => clearInterval(looking.current), []);
  const make = async () => {
    setProblem(undefined);
    setMaking(say.making(0, 0));
    looking.current = setInterval(() => {
      call('pdfProgress', { params: { id: visitId } }).then(
        ({ done, of }) => setMaking((now) => (now === null ? null : say.making(done, of))),
        // The file itself tells what went wrong.
        () => undefined,
      );
    }, LOOK_MS);
    try {
      saveBlob(await fetchPdf(visitId, { ...choice, size }), `${name}.pdf`);
    } catch (error) {
      setProblem(problemWords(error));
    } finally {
      clearInterval(looking.current);
      setMaking(null);
    }
  };
  return (
    <View {...{ dataSet: { print: 'hide' } }} style={styles.column}>
      <Press
        label={say.told(say.wording[choice.wording], say.languageName[choice.language])}
        expanded={open}
        onPress={() => setOpen(!open)}
      />
      {open ? (
        <Card>
          <Choice
            label={say.toldTo}
            options={WORDINGS}
            word={(one) => say.wording[one]}
            value={choice.wording}
            onChoose={(wording) => onChoose({ ...choice, wording })}
          />
          <Choice
            label={say.language}
            options={LANGUAGES}
            word={(one) => say.languageName[one]}
            value={choice.language}
            onChoose={(language) => onChoose({ ...choice, language })}
          />
          <View style={styles.row}>
            <View style={styles.grow}>
              <Choice
                label={say.sheet}
                options={SHEET_SIZES}
                word={(one) => say.sheetName[one]}
                value={size}
                onChoose={setSize}
              />
            </View>
            <Press label={say.pdf} disabled={making !== null} onPress={() => void make()} />
          </View>
          {making === null ? null : <Words role="status">{making}</Words>}
          <Problem>{problem}</Problem>
        </Card>
      ) : null}
    </View>
  );
}

const styles = StyleSheet.create({
  column: { gap: SPACE.s },
  row: { flexDirection: 'row', flexWrap: 'wrap', alignItems: 'flex-end', gap: SPACE.s },
  grow: { flex: 1 },
});
