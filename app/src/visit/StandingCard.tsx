import type { LifeStanding } from '@weskopos/core';
import { StyleSheet, View } from 'react-native';
import { Card } from '../kit/Card';
import { GradeMark } from '../kit/GradeMark';
import { SPACE } from '../kit/tokens';
import { gradeColours, usePalette } from '../kit/theme';
import { Label, Words } from '../kit/Words';
import { words } from '@weskopos/words/en';
import { standingCounts, lookedWords } from '@weskopos/words/standingWords';
import { visit as say } from '@weskopos/words/en/pages/visit';

interface StandingCardProps {
  readonly standing: LifeStanding;
  /** What goes on differently from before, in one sentence. */
  readonly why?: string;
}

/** How a vehicle stands over all its visits, and how much the last one looked at. */
export function StandingCard({ standing, why }: StandingCardProps) {
  const palette = usePalette();
  const { grade, last } = standing;
  return (
    <Card style={styles.card}>
      <GradeMark grade={grade} height={72} />
      <View style={styles.text}>
        <Label size="h3" colour={gradeColours(palette, grade).line}>
          {say.standsAs(words.grade[grade])}
        </Label>
        <Words>{standingCounts(standing)}</Words>
        {last ? (
          <Words soft={last.seen === last.of} strong={last.seen < last.of}>
            {lookedWords(last)}
          </Words>
        ) : null}
        {why ? <Words strong>{why}</Words> : null}
      </View>
    </Card>
  );
}

const styles = StyleSheet.create({
  card: { flexDirection: 'row', alignItems: 'center' },
  text: { flex: 1, gap: SPACE.xs },
});
