import { type Doubt, type Finding, type FindingChange } from '@weskopos/core';
import { doubtId } from '@weskopos/core/walk';
import { StyleSheet, View } from 'react-native';
import { Card } from '../../kit/Card';
import { Press } from '../../kit/Press';
import { SPACE } from '../../kit/tokens';
import { usePalette } from '../../kit/theme';
import { Label, Words } from '../../kit/Words';
import { words } from '../../words/en';
import { amount } from '../../words/show';
import { readingChange } from '../../visit/readings';
import { walk as say } from '../../words/en/pages/walk';
import { common } from '../../words/en/pages/common';

interface DoubtCardProps {
  readonly doubt: Doubt;
  readonly onAnswer: (change: (standing: Finding | undefined) => FindingChange) => void;
  /** The part was put on new since the last visit: its trend begins anew. Left out where it has no identity. */
  readonly onNewPart?: (() => void) | undefined;
}

/** An odd reading, asked once; the answer is kept with it and nothing is blocked. */
export function DoubtCard({ doubt, onAnswer, onNewPart }: DoubtCardProps) {
  const { measure } = doubt;
  const palette = usePalette();
  const keep = (answer: string) =>
    onAnswer((standing) => ({
      kept: [...(standing?.kept ?? []), doubtId(doubt), ...(answer ? [`${answer}:${doubt.spot}`] : [])],
    }));
  const where = words.spot[doubt.spot];
  const { looksLike: unit, inThat } = doubt;
  return (
    <Card ground={palette.advisoryWash}>
      <Label colour={palette.advisory}>{words.doubt[doubt.code]}</Label>
      <Words>{`${where ? `${where}: ` : ''}${amount(measure, doubt.value)}${doubt.last === null ? '' : say.lastTime(amount(measure, doubt.last))}.`}</Words>
      <View style={styles.row}>
        {unit && inThat !== null ? (
          <Press
            label={say.itIs(unit)}
            onPress={() =>
              onAnswer((standing) => readingChange(standing, { measure, spot: doubt.spot, phase: 'found' }, inThat))
            }
          />
        ) : null}
        {doubt.code === 'better-than-last' ? (
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
