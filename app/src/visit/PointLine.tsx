import type { GradedPoint, QuantityRow } from '@weskopos/core';
import { StyleSheet, View } from 'react-native';
import { GradeMark } from '../kit/GradeMark';
import { SPACE } from '../kit/tokens';
import { gradeColours, usePalette } from '../kit/theme';
import { Label, Words } from '../kit/Words';
import { words } from '@weskopos/words/en';
import { readingsWords } from '@weskopos/words/readingsWords';
import { day, pointWords, type Seats } from '@weskopos/words/show';
import { gradeSentence } from '@weskopos/words/reasonSentence';
import { visit as say } from '@weskopos/words/en/pages/visit';

/** One point with its readings, grade and why. */
export function PointLine({
  graded,
  axles,
  seenAt,
  brief,
}: {
  /** With what an earlier moment of the visit had found, where it tells one. */
  readonly graded: GradedPoint & Partial<Pick<QuantityRow, 'foundAt'>>;
  readonly axles: Seats;
  /** When it was looked at, where that is not the visit's own day. */
  readonly seenAt?: string | undefined;
  readonly brief?: boolean;
}) {
  const palette = usePalette();
  const { point, place, result, finding } = graded;
  return (
    <View style={styles.line}>
      <GradeMark grade={result.grade} carried={result.carried !== null} height={44} />
      <View style={styles.text}>
        <Words strong>{pointWords(point, place, axles)}</Words>
        <Words size="m" soft>
          <Words
            size="m"
            strong
            colour={gradeColours(palette, result.grade).line}
          >{`${words.grade[result.grade]}${result.corrected ? `, ${words.corrected}` : ''}${result.watch ? `, ${words.watch}` : ''}${result.carried ? say.carriedFrom(day(result.carried.at)) : ''}. `}</Words>
          {gradeSentence(result)}
          {seenAt ? ` ${say.seenOn(day(seenAt))}` : ''}
          {finding?.note && !brief ? ` “${finding.note}”` : ''}
        </Words>
      </View>
      <Label size="l" style={styles.value}>
        {graded.foundAt && readingsWords(graded.foundAt) !== readingsWords(graded)
          ? say.foundAndLeft(readingsWords(graded.foundAt), readingsWords(graded))
          : readingsWords(graded)}
      </Label>
    </View>
  );
}

const styles = StyleSheet.create({
  line: { flexDirection: 'row', alignItems: 'center', gap: SPACE.s },
  text: { flex: 1 },
  value: { textAlign: 'right', maxWidth: 110 },
});
