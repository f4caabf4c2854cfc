import type { Verdict } from '@weskopos/core';
import { StyleSheet, View } from 'react-native';
import { Card } from '../../kit/Card';
import { GradeMark } from '../../kit/GradeMark';
import { SPACE } from '../../kit/tokens';
import { gradeColours, usePalette } from '../../kit/theme';
import { Label, Words } from '../../kit/Words';
import { words } from '@weskopos/words/en';
import { overview as say } from '@weskopos/words/en/pages/overview';

/** The vehicle's verdict with what it counts, and beside it what was not seen. */
export function VerdictCard({
  verdict,
  when,
}: {
  readonly verdict: Pick<Verdict, 'grade' | 'counts'>;
  readonly when?: string;
}) {
  const palette = usePalette();
  const { line } = gradeColours(palette, verdict.grade);
  const { fail, advisory, pass, recorded } = verdict.counts;
  const unseen = verdict.counts['not-seen'];
  return (
    <Card style={styles.card}>
      <GradeMark grade={verdict.grade} height={72} />
      <View style={styles.text}>
        <Label size="h3" colour={line}>
          {[words.grade[verdict.grade], when].filter(Boolean).join(', ')}
        </Label>
        <Words>
          {[say.fail(fail), say.advisory(advisory), say.pass(pass), recorded > 0 ? say.recorded(recorded) : '']
            .filter(Boolean)
            .join(' · ')}
        </Words>
        <Words soft={unseen === 0} strong={unseen > 0}>
          {unseen === 0 ? say.everyPointWasSeen : say.pointsNotSeen(unseen)}
        </Words>
      </View>
    </Card>
  );
}

const styles = StyleSheet.create({
  card: { flexDirection: 'row', alignItems: 'center' },
  text: { flex: 1, gap: SPACE.xs },
});
