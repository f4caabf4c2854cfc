import { type Doubt, type Finding, type FindingChange } from '@weskopos/core';
import { doubtId } from '@weskopos/core/walk';
import { StyleSheet, View } from 'react-native';
import { Card } from '../../kit/Card';
import { Press } from '../../kit/Press';
import { SPACE } from '../../kit/tokens';
import { usePalette } from '../../kit/theme';
import { Label, Words } from '../../kit/Words';
import { words } from '@weskopos/words/en';
import { amount } from '@weskopos/words/show';
import { readingChange } from '../../visit/readings';
import { walk as say } from '@weskopos/words/en/pages/walk';
import { common } from '@weskopos/words/en/pages/common';

interface DoubtCardProps {
  /** Of one kind, each at its own place: asked together, answered together. */
  readonly doubts: readonly Doubt[];
  readonly onAnswer: (change: (standing: Finding | undefined) => FindingChange) => void;
  /** The part was put on new since the last visit: its trend begins anew. Left out where it has no identity. */
  readonly onNewPart?: (() => void) | undefined;
}

/** An odd reading, asked once; the answer is kept with it and nothing is blocked. */
export function DoubtCard({ doubts, onAnswer, onNewPart }: DoubtCardProps) {
  const palette = usePalette();
  const [first] = doubts;
  const keep = (answer: string) =>
    onAnswer((standing) => ({
      kept: [
        ...(standing?.kept ?? []),
        ...doubts.flatMap((doubt) => [doubtId(doubt), ...(answer ? [`${answer}:${doubt.spot}`] : [])]),
      ],
    }));
  if (!first) return null;
  const told = doubts.map(({ spot, measure, value, last }) => {
    const where = words.spot[spot];
    return `${where ? `${where}: ` : ''}${amount(measure, value)}${last === null ? '' : say.lastTime(amount(measure, last))}`;
  });
  const { looksLike: unit } = first;
  return (
    <Card ground={palette.advisoryWash}>
      <Label colour={palette.advisory}>{words.doubt[first.code]}</Label>
      <Words>{`${told.join('; ')}.`}</Words>
      <View style={styles.row}>
        {unit && first.inThat !== null ? (
          <Press
            label={say.itIs(unit)}
            onPress={() =>
              doubts.forEach(({ measure, spot, inThat }) => {
                if (inThat !== null)
                  onAnswer((standing) => readingChange(standing, { measure, spot, phase: 'found' }, inThat));
              })
            }
          />
        ) : null}
        {first.code === 'better-than-last' ? (
          <>
            <Press
              label={common.newPart}
              onPress={() => {
                keep('new-part');
                onNewPart?.();
              }}
            />
            <Press label={say.otherWheel} onPress={() => keep('other-wheel')} />
            <Press label={common.rotated} onPress={() => keep('rotated')} />
          </>
        ) : null}
        <Press label={say.itIsRightKeepIt} onPress={() => keep('')} />
      </View>
      <Words size="s" soft>
        {say.misreadSetTheTapeAgain}
      </Words>
    </Card>
  );
}

const styles = StyleSheet.create({ row: { flexDirection: 'row', flexWrap: 'wrap', gap: SPACE.s } });
