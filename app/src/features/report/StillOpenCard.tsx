import type { StillOpen } from '@weskopos/core';
import { StyleSheet, View } from 'react-native';
import { Card } from '../../kit/Card';
import { GradeMark } from '../../kit/GradeMark';
import { SPACE } from '../../kit/tokens';
import { Heading, Words } from '../../kit/Words';
import { words } from '@weskopos/words/en';
import { day, pointWords, type Seats } from '@weskopos/words/show';
import { report as say } from '@weskopos/words/en/pages/report';

/** What earlier visits found and this one did not settle: a short visit hides none of it. */
export function StillOpenCard({ open, axles }: { readonly open: readonly StillOpen[]; readonly axles: Seats }) {
  if (open.length === 0) return null;
  return (
    <Card>
      <Heading level={2}>{say.stillOpenFromEarlier}</Heading>
      {open.map(({ point, place, grade, at }) => (
        <View key={`${point}@${place}`} style={styles.line}>
          <GradeMark grade={grade} height={30} />
          <Words style={styles.grow}>
            {say.openSince(pointWords(point, place, axles), words.grade[grade].toLowerCase(), day(at))}
          </Words>
        </View>
      ))}
    </Card>
  );
}

const styles = StyleSheet.create({
  line: { flexDirection: 'row', alignItems: 'center', gap: SPACE.s },
  grow: { flex: 1 },
});
