import { useRef, type ReactNode } from 'react';
import { StyleSheet, View } from 'react-native';
import { kit as say } from '@weskopos/words/en/pages/kit';
import { drawingPng, drawingSvg } from './drawingFile';
import { Press } from './Press';
import { saveBlob } from './saveFrom';
import { usePalette } from './theme';
import { SPACE } from './tokens';

/** What lies behind a drawing, as rows with their heading. */
export type DrawingRows = readonly (readonly (string | number | null)[])[];

interface SaveableProps {
  /** What the files are called, without ending. */
  readonly name: string;
  /** The figures it is drawn from; without it only the drawing is saved. */
  readonly rows?: () => DrawingRows;
  readonly children: ReactNode;
}

/** A drawing that can be taken along: as SVG, as PNG, and its figures as CSV. */
export function Saveable({ name, rows, children }: SaveableProps) {
  const palette = usePalette();
  const view = useRef<View>(null);
  // On the web a view is an element, whatever its type says.
  const svg = () => drawingSvg(view.current as unknown as Element, palette.card);
  const saveSvg = () => {
    const text = svg();
    if (text !== null) saveBlob(new Blob([text], { type: 'image/svg+xml' }), `${name}.svg`);
  };
  const savePng = async () => {
    const text = svg();
    if (text !== null) saveBlob(await drawingPng(text), `${name}.png`);
  };
  const saveCsv = async (told: DrawingRows) => {
    // Loaded when it is asked for.
    const { default: papa } = await import('papaparse');
    const text = papa.unparse([...told.map((row) => [...row])], { escapeFormulae: true, newline: '\r\n' });
    saveBlob(new Blob([`${text}\r\n`], { type: 'text/csv;charset=utf-8' }), `${name}.csv`);
  };
  return (
    <View>
      <View ref={view}>{children}</View>
      <View style={styles.row} {...{ dataSet: { print: 'hide' } }}>
        <Press kind="quiet" label={say.svg} hint={say.saveAs(name, say.svg)} onPress={saveSvg} />
        <Press kind="quiet" label={say.png} hint={say.saveAs(name, say.png)} onPress={() => void savePng()} />
        {rows ? (
          <Press kind="quiet" label={say.csv} hint={say.saveAs(name, say.csv)} onPress={() => void saveCsv(rows())} />
        ) : null}
      </View>
    </View>
  );
}

const styles = StyleSheet.create({
  row: { flexDirection: 'row', justifyContent: 'flex-end', gap: SPACE.s },
});
