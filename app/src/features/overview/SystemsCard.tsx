import type { SystemVerdict } from '@weskopos/core';
import { StyleSheet, View } from 'react-native';
import { Card } from '../../kit/Card';
import { GradeMark } from '../../kit/GradeMark';
import { SPACE } from '../../kit/tokens';
import { gradeColours, usePalette } from '../../kit/theme';
import { Heading, Words } from '../../kit/Words';
import { words } from '@weskopos/words/en';
import { overview as say } from '@weskopos/words/en/pages/overview';

/** What stands in a verdict by system: each the worst of its own points, with what was not seen beside it. */
export function SystemsCard({ systems }: { readonly systems: readonly SystemVerdict[] }) {
  const palette = usePalette();
  return (
    <Card>
      <Heading level={2}>{say.bySystem}</Heading>
      <View style={styles.grid}>
        {systems.map(({ system, grade, counts }) => (
          <View key={system} style={styles.cell}>
            <GradeMark grade={grade} height={34} />
            <View style={styles.grow}>
              <Words strong>{words.system[system]}</Words>
              <Words size="s" soft>
                <Words size="s" strong colour={gradeColours(palette, grade).line}>
                  {words.grade[grade]}
                </Words>
                {counts['not-seen'] > 0 && grade !== 'not-seen' ? say.notSeen(counts['not-seen']) : ''}
              </Words>
            </View>
          </View>
        ))}
      </View>
    </Card>
  );
}

const styles = StyleSheet.create({
  grid: { flexDirection: 'row', flexWrap: 'wrap', gap: SPACE.s },
  cell: { flexDirection: 'row', gap: SPACE.xs, flexBasis: '47%', flexGrow: 1, minWidth: 140 },
  grow: { flex: 1 },
});
