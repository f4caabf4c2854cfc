import { cataloguePoint, pointKey, restOfStop, soundByEye, type PointRef, type WalkStep } from '@weskopos/core';
import Camera from 'lucide-react-native/icons/camera';
import EyeOff from 'lucide-react-native/icons/eye-off';
import Ellipsis from 'lucide-react-native/icons/ellipsis';
import PencilLine from 'lucide-react-native/icons/pencil-line';
import Undo from 'lucide-react-native/icons/undo-2';
import { Suspense, memo, useState } from 'react';
import { ScrollView, StyleSheet, View, useWindowDimensions } from 'react-native';
import { Choice } from '../../kit/Choice';
import { NudgeKeys, useTouchedTape } from '../../controls/pad/NudgeKeys';
import { Press } from '../../kit/Press';
import { SPACE } from '../../kit/tokens';
import { usePalette } from '../../kit/theme';
import { pointName } from '@weskopos/words/show';
import { PhotoTaker } from '../photo/PhotoTaker';
import { WordPicker } from './controls/WordPicker';
import { putFinding, type Target } from '../../visit/findings';
import { wordChange } from '../../visit/readings';
import { AccessPanel } from './panels/AccessPanel';
import { MorePanel } from './panels/MorePanel';
import { NotePanel } from './panels/NotePanel';
import type { Background } from '../../visit/visitContext';
import { walk as say } from '@weskopos/words/en/pages/walk';
import { common } from '@weskopos/words/en/pages/common';

/** What is open below a step of the walk; null for nothing. */
export type Panel = 'note' | 'access' | 'more' | 'photo' | null;

/** Below this five gloved fingers do not fit beside each other with room between, px. */
const NARROW = 340;

interface StepActionsProps {
  readonly step: WalkStep;
  readonly steps: readonly WalkStep[];
  /** Only while a panel is open: the buttons themselves do not depend on it. */
  readonly background: Background | null;
  readonly target: Target;
  readonly panel: Panel;
  readonly onPanel: (panel: Panel) => void;
  readonly undoable: boolean;
  readonly onUndo: () => void;
}

/** What every point takes besides its measure: words, photo, note, that it could not be seen, and the rarer things. */
export const StepActions = memo(function StepActions(props: StepActionsProps) {
  const { step, background, panel, onPanel, undoable, onUndo } = props;
  const palette = usePalette();
  const { width } = useWindowDimensions();
  const tape = useTouchedTape();
  const toggle = (one: Panel) => onPanel(panel === one ? null : one);
  return (
    <View style={styles.actions}>
      {panel && background ? <OpenPanel {...props} panel={panel} background={background} /> : null}
      <View style={[styles.row, width < NARROW && styles.narrow]}>
        <Press
          label=""
          hint={say.undoTheLastChange}
          icon={<Undo color={undoable ? palette.ink : palette.soft} size={22} />}
          disabled={!undoable}
          onPress={onUndo}
          style={styles.tight}
        />
        {tape && !panel ? (
          <NudgeKeys tape={tape} />
        ) : (
          <>
            <Press
              label=""
              hint={say.photo}
              icon={<Camera color={panel === 'photo' ? palette.onFill : palette.ink} size={22} />}
              expanded={panel === 'photo'}
              onPress={() => toggle('photo')}
              style={styles.tight}
            />
            <Press
              label=""
              hint={wordsAside(step) ? say.wordsAndNote : common.note}
              icon={<PencilLine color={panel === 'note' ? palette.onFill : palette.ink} size={22} />}
              expanded={panel === 'note'}
              onPress={() => toggle('note')}
              style={styles.tight}
            />
            <Press
              label=""
              hint={say.notReached}
              icon={<EyeOff color={panel === 'access' ? palette.onFill : palette.ink} size={22} />}
              expanded={panel === 'access'}
              onPress={() => toggle('access')}
              style={styles.tight}
            />
            <Press
              label=""
              hint={say.moreForThisPoint}
              icon={<Ellipsis color={panel === 'more' ? palette.onFill : palette.ink} size={22} />}
              expanded={panel === 'more'}
              onPress={() => toggle('more')}
              style={styles.tight}
            />
          </>
        )}
      </View>
    </View>
  );
});

/** Whether a point of the step has words that do not stand under its control. */
const wordsAside = ({ points }: WalkStep): boolean =>
  points.some(({ point }) => {
    const one = cataloguePoint(point);
    return one.vocabulary !== null && (points.length > 1 || !soundByEye(one));
  });

interface OpenPanelProps extends StepActionsProps {
  readonly panel: NonNullable<Panel>;
  readonly background: Background;
}

/** What the open button shows, for one of the step's points. */
function OpenPanel({ step, steps, background, target, panel, onPanel }: OpenPanelProps) {
  const [which, setWhich] = useState(0);
  const ref = (step.points[which] ?? step.points[0]) as PointRef;
  const point = cataloguePoint(ref.point);
  const finding = background.grading.standing.get(pointKey(ref.point, ref.place));
  const rest = restOfStop(steps, step.stop, background.grading.standing);
  return (
    <ScrollView style={styles.panels} contentContainerStyle={styles.actions}>
      {panel !== 'access' && step.points.length > 1 ? (
        <Choice
          label={say.waitFor}
          options={step.points.map((_, index) => String(index))}
          word={(index) => pointName((step.points[Number(index)] ?? ref).point)}
          value={String(which)}
          onChoose={(index) => setWhich(Number(index))}
        />
      ) : null}
      {panel === 'note' && point.vocabulary && wordsAside(step) ? (
        <WordPicker
          point={point}
          finding={finding}
          onWord={(word) => void putFinding(target, ref, (before) => wordChange(before, word))}
        />
      ) : null}
      {panel === 'note' ? (
        <NotePanel
          key={ref.point}
          note={finding?.note ?? ''}
          alone={!wordsAside(step)}
          onNote={(note) => void putFinding(target, ref, () => ({ note }))}
        />
      ) : null}
      {panel === 'access' ? (
        <AccessPanel step={step} finding={finding} target={target} onDone={() => onPanel(null)} />
      ) : null}
      {panel === 'more' ? (
        <MorePanel
          key={pointKey(ref.point, ref.place)}
          pointRef={ref}
          rest={rest}
          background={background}
          target={target}
          onDone={() => onPanel(null)}
        />
      ) : null}
      {panel === 'photo' ? (
        <Suspense fallback={null}>
          <PhotoTaker
            ghost={background.history.lastLook(ref)?.finding.photos.at(-1)?.id ?? null}
            onPhoto={(id) =>
              putFinding(target, ref, (before) => ({
                photos: [...(before?.photos ?? []), { id, caption: '', marks: [] }],
              }))
            }
            onDone={() => onPanel(null)}
          />
        </Suspense>
      ) : null}
    </ScrollView>
  );
}

const styles = StyleSheet.create({
  actions: { gap: SPACE.s },
  // A long panel scrolls inside the hand zone, so that the buttons never leave the screen.
  panels: { flexGrow: 0, maxHeight: 400 },
  row: { flexDirection: 'row', columnGap: SPACE.s },
  // On the narrowest phone all five stay on one row.
  narrow: { columnGap: 2 },
  tight: { paddingHorizontal: SPACE.xs, flexGrow: 1 },
});
