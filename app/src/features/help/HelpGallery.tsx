import type { Vocabulary, Word } from '@weskopos/core';
import { StyleSheet, View } from 'react-native';
import { Card } from '../../kit/Card';
import { Press } from '../../kit/Press';
import { SPACE } from '../../kit/tokens';
import { Heading, Label, Words } from '../../kit/Words';
import { words } from '@weskopos/words/en';
import { looks } from '@weskopos/words/en/looks';
import { help as say } from '@weskopos/words/en/pages/help';
import { capital } from '@weskopos/words/show';
import { drawingOf, drawnWords } from './helpDrawings';
import { HelpDrawing } from './HelpDrawing';

interface HelpGalleryProps {
  readonly vocabulary: Vocabulary;
  /** The word that was asked about; it comes first. Null for all alike. */
  readonly first: Word | null;
  readonly onClose: () => void;
}

/** What each word of a part looks like and means, drawn. */
export function HelpGallery({ vocabulary, first, onClose }: HelpGalleryProps) {
  const all = drawnWords(vocabulary);
  const shown = first && all.includes(first) ? [first, ...all.filter((word) => word !== first)] : all;
  return (
    <Card>
      <View style={styles.head}>
        <Heading level={2} style={styles.grow}>
          {say.whatTheyLookLike}
        </Heading>
        <Press label={say.close} onPress={onClose} />
      </View>
      {shown.map((word) => {
        const drawing = drawingOf(vocabulary, word);
        return drawing ? (
          <View key={word} style={styles.row}>
            <HelpDrawing drawing={drawing} />
            <View style={styles.grow}>
              <Label size="l">{capital(words.word[word])}</Label>
              <Words size="m">{looks[vocabulary]?.[word] ?? ''}</Words>
            </View>
          </View>
        ) : null;
      })}
      <Words size="s" soft>
        {say.theMakerSaysMore}
      </Words>
    </Card>
  );
}

const styles = StyleSheet.create({
  head: { flexDirection: 'row', alignItems: 'center', gap: SPACE.s },
  row: { flexDirection: 'row', alignItems: 'center', gap: SPACE.m },
  grow: { flex: 1 },
});
