import { gradePoint, pointKey, type Finding, type GradingContext } from '@weskopos/core';
import type { StoredFinding } from '@weskopos/contract';
import { StyleSheet, View } from 'react-native';
import { Card } from '../../kit/Card';
import { Press } from '../../kit/Press';
import { SPACE } from '../../kit/tokens';
import { Heading, Words } from '../../kit/Words';
import { gradeSentence } from '@weskopos/words/reasonSentence';
import { words } from '@weskopos/words/en';
import { dayAndTime, pointWords } from '@weskopos/words/show';
import { settleFork, type Target } from '../../visit/findings';
import { overview as say } from '@weskopos/words/en/pages/overview';

interface ForksCardProps {
  readonly forks: ReadonlyMap<string, readonly Finding[]>;
  readonly grading: GradingContext;
  readonly target: Target;
  readonly signed: boolean;
}

/** Points two people saw differently: both values, and a choice. */
export function ForksCard({ forks, grading, target, signed }: ForksCardProps) {
  return (
    <Card>
      <Heading level={2}>{say.seenTwice}</Heading>
      {[...forks.values()].map((entries) => {
        const [first] = entries;
        if (!first) return null;
        const name = pointWords(first.point, first.place, grading.vehicle);
        return (
          <View key={first.id} style={styles.fork}>
            <Words>{say.twoEntriesAreKeptThe(name)}</Words>
            {entries.map((entry) => {
              const { by } = entry as StoredFinding;
              const standing = new Map(grading.standing).set(pointKey(entry.point, entry.place), entry);
              const result = gradePoint(entry, { ...grading, standing });
              return (
                <View key={entry.id} style={styles.row}>
                  <Words style={styles.grow}>
                    {`${by}, ${dayAndTime(entry.at)}: ${words.grade[result.grade].toLowerCase()}. ${gradeSentence(result)}`}
                  </Words>
                  {signed ? null : (
                    <Press
                      label={say.thisOne}
                      hint={say.keepWhatSaw(by, name)}
                      onPress={() => void settleFork(target, entry, entries)}
                    />
                  )}
                </View>
              );
            })}
          </View>
        );
      })}
    </Card>
  );
}

const styles = StyleSheet.create({
  fork: { gap: SPACE.s },
  row: { flexDirection: 'row', alignItems: 'center', gap: SPACE.s },
  grow: { flex: 1 },
});
