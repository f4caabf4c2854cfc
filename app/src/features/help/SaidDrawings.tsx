import { cataloguePoint, type Finding, type PointCode } from '@weskopos/core';
import { StyleSheet, View } from 'react-native';
import { SPACE } from '../../kit/tokens';
import { Words } from '../../kit/Words';
import { words } from '@weskopos/words/en';
import { capital } from '@weskopos/words/show';
import { drawingOf } from './helpDrawings';
import { HelpDrawing } from './HelpDrawing';

/** The words said of a point, drawn, for who reads a report and does not know them. */
export function SaidDrawings({ point, finding }: { readonly point: PointCode; readonly finding: Finding }) {
  const { vocabulary } = cataloguePoint(point);
  if (!vocabulary) return null;
  const drawn = finding.words.flatMap((word) => {
    const drawing = drawingOf(vocabulary, word);
    return drawing ? [{ word, drawing }] : [];
  });
  if (drawn.length === 0) return null;
  return (
    <View style={styles.row}>
      {drawn.map(({ word, drawing }) => (
        <View key={word} style={styles.one}>
          <HelpDrawing drawing={drawing} width={80} />
          <Words size="s" soft>
            {capital(words.word[word])}
          </Words>
        </View>
      ))}
    </View>
  );
}

const styles = StyleSheet.create({
  row: { flexDirection: 'row', flexWrap: 'wrap', gap: SPACE.m, paddingLeft: SPACE.xl },
  one: { alignItems: 'center', maxWidth: 110 },
});
