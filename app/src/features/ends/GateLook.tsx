import { cataloguePoint, pointKey, soundByEye, type GateLine, type PointRef } from '@weskopos/core';
import { doubtId, doubtsAbout } from '@weskopos/core/walk';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { Press } from '../../kit/Press';
import { SPACE } from '../../kit/tokens';
import { Heading } from '../../kit/Words';
import { putFinding, type Target } from '../../visit/findings';
import { lookChange, wordChange } from '../../visit/readings';
import type { Background, Draft } from '../../visit/visitContext';
import { words } from '@weskopos/words/en';
import { alike } from '../walk/alike';
import { DoubtCard } from '../walk/DoubtCard';
import { LeakPicker } from '../walk/controls/LeakPicker';
import { TapeColumns, type TapeSlot } from '../walk/controls/TapeColumns';
import { WordPicker } from '../walk/controls/WordPicker';
import type { PutFinding } from '../walk/controls/control';
import { quickLook } from '../../visit/quickLook';
import { ends as say } from '@weskopos/words/en/pages/ends';

interface GateLookProps {
  readonly lines: readonly GateLine[];
  readonly background: Background;
  readonly target: Target;
}

const refOf = ({ point }: GateLine): PointRef => ({ point, place: '' });
const isLevel = ({ point }: GateLine) => cataloguePoint(point).measures.some(({ measure }) => measure === 'level');

/** The gate's points, each with the control it has in the walk: what is seen here is a finding like any other. */
export function GateLook({ lines, background, target }: GateLookProps) {
  const [draft, setDraft] = useState<Draft | null>(null);
  const put: PutFinding = (ref, change) => void putFinding(target, ref, change);
  const levels = lines.filter(isLevel);
  const slots = levels.map((line): TapeSlot => ({
    pointRef: refOf(line),
    measure: 'level',
    spot: 'whole',
    title: words.gateTitle[line.question],
  }));
  return (
    <>
      {slots.length > 0 ? (
        <TapeColumns slots={slots} background={background} phase="found" draft={draft} onDraft={setDraft} put={put} />
      ) : null}
      {lines.map((line) => (
        <GateDoubts key={line.point} line={line} background={background} put={put} />
      ))}
      {lines
        .filter((line) => !isLevel(line))
        .map((line) => (
          <GateEye key={line.point} line={line} background={background} put={put} />
        ))}
    </>
  );
}

interface GateEyeProps {
  readonly line: GateLine;
  readonly background: Background;
  readonly put: PutFinding;
}

/** What is odd about a level, asked once as in the walk. */
function GateDoubts({ line, background, put }: GateEyeProps) {
  const { grading, history } = background;
  const ref = refOf(line);
  const finding = grading.standing.get(pointKey(line.point, ''));
  if (!finding) return null;
  const last = history.renewedSince(ref) ? undefined : history.lastLook(ref)?.finding;
  return alike(doubtsAbout(finding, last, undefined, grading.inspection.startedAt, grading.rules.house)).map((some) => (
    <DoubtCard key={some.map(doubtId).join()} doubts={some} onAnswer={(change) => put(ref, change)} />
  ));
}

/** Belts and the ground: one tap where nothing is wrong, the words or the leak where something is. */
function GateEye({ line, background, put }: GateEyeProps) {
  const ref = refOf(line);
  const point = cataloguePoint(line.point);
  const finding = background.grading.standing.get(pointKey(line.point, ''));
  const byEye = soundByEye(point);
  const said = (finding?.words.length ?? 0) > 0 || (finding?.leaks.some(({ stage }) => stage !== 'dry') ?? false);
  const [opened, setWrong] = useState(false);
  // What somebody else has said is shown too.
  const wrong = opened || said;
  const sound = finding?.access === 'seen' && !said;
  const look = quickLook(
    { id: line.point, station: 'cold', stop: 'cold', points: [ref] },
    new Map(),
    background.history,
  );
  const title = words.gate[line.question];
  return (
    <View role="group" aria-label={title} style={styles.eye}>
      <Heading level={2}>{title}</Heading>
      <View style={styles.row}>
        <Press
          role="checkbox"
          label={look?.label ?? ''}
          chosen={sound}
          onPress={() => {
            setWrong(false);
            put(ref, (before) => lookChange(before, { words: [], leaks: [], ...look?.changes[0] }));
          }}
          style={styles.grow}
        />
        <Press
          label={say.notQuite[line.question === 'dry' ? 'dry' : 'belts']}
          expanded={wrong}
          onPress={() => setWrong(!wrong)}
          style={styles.grow}
        />
      </View>
      {wrong && byEye && point.vocabulary ? (
        <WordPicker point={point} finding={finding} onWord={(word) => put(ref, (before) => wordChange(before, word))} />
      ) : null}
      {wrong && point.leakWanted ? (
        <LeakPicker pointRef={ref} finding={finding} background={background} phase="found" put={put} />
      ) : null}
    </View>
  );
}

const styles = StyleSheet.create({
  eye: { gap: SPACE.s },
  row: { flexDirection: 'row', gap: SPACE.s },
  grow: { flex: 1 },
});
