import { pointKey, verdictOf, walkSteps, type WalkStep } from '@weskopos/core';
import { useLocalSearchParams, useRouter } from 'expo-router';
import { useMemo, useState } from 'react';
import { ScrollView, StyleSheet, View } from 'react-native';
import { Press } from '../../kit/Press';
import { SPACE } from '../../kit/tokens';
import { useIsWide, usePalette } from '../../kit/theme';
import { useVisit } from '../../sync/useLife';
import { CoverageList } from '../overview/CoverageList';
import { NotHere } from '../root/NotHere';
import { SyncLine } from '../root/SyncLine';
import { Spine } from './Spine';
import { Step } from './Step';
import { StepActions } from './StepActions';
import { backgroundOf } from './visitContext';
import { undoLast, useUndo } from './findings';

/** One thing at a time, in walking order, with the whole walk along the edge. */
export function Walk() {
  const { id, visit: visitId, at } = useLocalSearchParams<{ id: string; visit: string; at?: string }>();
  const found = useVisit(id, visitId);
  const router = useRouter();
  if (!found) return <NotHere />;
  if (found.visit.inspection.signedAt)
    return <Signed onReport={() => router.replace(`/vehicle/${id}/visit/${visitId}/report`)} />;
  return <WalkThrough key={`${visitId}${at ?? ''}`} found={found} at={at ?? null} />;
}

interface WalkThroughProps {
  readonly found: NonNullable<ReturnType<typeof useVisit>>;
  /** The point to begin at; else the first that is not seen. */
  readonly at: string | null;
}

function WalkThrough({ found, at }: WalkThroughProps) {
  const router = useRouter();
  const palette = usePalette();
  const wide = useIsWide();
  const background = useMemo(() => backgroundOf(found.life, found.visit, found.earlier), [found]);
  const { vehicle } = found.life;
  const target = { vehicleId: vehicle.id, visitId: found.visit.inspection.id };
  const steps = useMemo(() => walkSteps(vehicle.axles), [vehicle.axles]);
  const { points } = verdictOf(background.grading);
  const unseen = new Set(
    points
      .filter((point) => point.result.grade === 'not-seen' && point.finding?.access !== 'not-reached')
      .map((point) => point.key),
  );
  const isOpen = (step: WalkStep) => step.points.some(({ point, place }) => unseen.has(pointKey(point, place)));
  const stepWith = (key: string | null) =>
    steps.find((step) => step.points.some(({ point, place }) => pointKey(point, place) === key));
  // Chosen once: a point that has just been seen must not be whisked away from under the hand.
  const [chosen, setChosen] = useState(() => (stepWith(at) ?? steps.find(isOpen) ?? steps[0])?.id);
  const undoable = useUndo((state) => state.entries.some((entry) => entry.visitId === target.visitId));
  const step = steps.find((one) => one.id === chosen);
  if (!step) return <NotHere />;
  const index = steps.indexOf(step);
  const isLast = index === steps.length - 1;
  const overview = () => router.push(`/vehicle/${target.vehicleId}/visit/${target.visitId}/overview`);
  const goTo = (one: WalkStep | undefined) => one && setChosen(one.id);
  const undo = () => {
    const ref = undoLast(target.visitId);
    if (ref) goTo(stepWith(pointKey(ref.point, ref.place)));
  };

  return (
    <View role="main" style={[styles.walk, { backgroundColor: palette.ground }]}>
      <Spine
        steps={steps}
        points={points}
        current={step.stop}
        axles={vehicle.axles.length}
        onStop={(stop) =>
          goTo(steps.find((one) => one.stop === stop && isOpen(one)) ?? steps.find((one) => one.stop === stop))
        }
        onEnd={overview}
        onYard={() => router.replace('/')}
      />
      <View style={styles.main}>
        <ScrollView key={step.id} contentContainerStyle={styles.scroll}>
          <View style={styles.column}>
            <Step
              key={step.id}
              step={step}
              position={`${index + 1} of ${steps.length}`}
              vehicle={vehicle}
              background={background}
              target={target}
            />
            <SyncLine />
          </View>
        </ScrollView>
        <View style={[styles.foot, { borderColor: palette.rule }]}>
          <View style={styles.column}>
            <StepActions
              key={step.id}
              step={step}
              background={background}
              target={target}
              onUndo={undoable ? undo : null}
            />
            <View style={styles.nextRow}>
              {index > 0 ? (
                <Press
                  label="‹"
                  hint="Back to the step before"
                  onPress={() => goTo(steps[index - 1])}
                  style={styles.back}
                />
              ) : null}
              <Press
                kind="main"
                label={isLast ? 'To the overview ›' : 'Next ›'}
                hint={isLast ? 'To the overview' : 'Next'}
                onPress={() => (isLast ? overview() : goTo(steps[index + 1]))}
                style={styles.next}
              />
            </View>
          </View>
        </View>
      </View>
      {wide ? (
        <ScrollView
          style={[styles.side, { backgroundColor: palette.panel, borderColor: palette.rule }]}
          contentContainerStyle={styles.sideInside}
        >
          <CoverageList points={points} axles={vehicle.axles.length} onPoint={(point) => goTo(stepWith(point.key))} />
        </ScrollView>
      ) : null}
    </View>
  );
}

function Signed({ onReport }: { readonly onReport: () => void }) {
  return (
    <View style={styles.signed}>
      <Press kind="main" label="This visit is signed. See the report" onPress={onReport} />
    </View>
  );
}

const styles = StyleSheet.create({
  walk: { flex: 1, flexDirection: 'row' },
  main: { flex: 1 },
  scroll: { padding: SPACE.m, alignItems: 'center' },
  column: { width: '100%', maxWidth: 560, gap: SPACE.m, alignSelf: 'center' },
  foot: { borderTopWidth: 1, padding: SPACE.s },
  nextRow: { flexDirection: 'row', gap: SPACE.s },
  back: { width: 56, minHeight: 56 },
  next: { flex: 1 },
  side: { maxWidth: 360, borderLeftWidth: 1 },
  sideInside: { padding: SPACE.l },
  signed: { flex: 1, justifyContent: 'center', padding: SPACE.l },
});
