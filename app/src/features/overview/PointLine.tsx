import { cataloguePoint, readingAt, readingValue, type GradedPoint } from '@weskopos/core';
import { StyleSheet, View } from 'react-native';
import { GradeMark } from '../../kit/GradeMark';
import { SPACE } from '../../kit/tokens';
import { gradeColours, usePalette } from '../../kit/theme';
import { Label, Words } from '../../kit/Words';
import { words } from '../../words/en';
import { figure, pointWords, unitWord } from '../../words/show';
import { gradeSentence } from '../../words/reasonSentence';

/** One point with its readings, grade and why. */
export function PointLine({
  graded,
  axles,
  brief,
}: {
  readonly graded: GradedPoint;
  readonly axles: number;
  readonly brief?: boolean;
}) {
  const palette = usePalette();
  const { point, place, result, finding } = graded;
  return (
    <View style={styles.line}>
      <GradeMark grade={result.grade} height={44} />
      <View style={styles.text}>
        <Words strong>{pointWords(point, place, axles)}</Words>
        <Words size="m" soft>
          <Words
            size="m"
            strong
            colour={gradeColours(palette, result.grade).line}
          >{`${words.grade[result.grade]}${result.corrected ? `, ${words.corrected}` : ''}${result.watch ? `, ${words.watch}` : ''}. `}</Words>
          {gradeSentence(result)}
          {finding?.note && !brief ? ` “${finding.note}”` : ''}
        </Words>
      </View>
      <Label size="l" style={styles.value}>
        {readingsWords(graded)}
      </Label>
    </View>
  );
}

function readingsWords({ point, finding }: GradedPoint): string {
  const { measure, spots } = cataloguePoint(point);
  const values = spots.flatMap((spot) => {
    const reading = readingAt(finding, spot);
    return reading && measure ? [figure(measure, readingValue(reading))] : [];
  });
  if (values.length === 0 || !measure) return '';
  return `${values.join(' · ')}${measure === 'level' ? '' : ` ${unitWord(measure)}`}`;
}

const styles = StyleSheet.create({
  line: { flexDirection: 'row', alignItems: 'center', gap: SPACE.s },
  text: { flex: 1 },
  value: { textAlign: 'right', maxWidth: 110 },
});
