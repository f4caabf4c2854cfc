import { createGrader, openEnds, pointKey, walkSteps, type WalkStep } from '@weskopos/core';
import { useLocalSearchParams, useRouter } from 'expo-router';
import { Suspense, useDeferredValue, useMemo, useRef, useState } from 'react';
import { ScrollView, StyleSheet, View } from 'react-native';
import { isOwnFinger } from '../../kit/ownFinger';
import { Press } from '../../kit/Press';
import { SPACE } from '../../kit/tokens';
import { useIsWide, usePalette } from '../../kit/theme';
import { useFleet, useVisit } from '../../sync/useLife';
import { CoverageList } from '../../visit/CoverageList';
import { NotHere } from '../../shell/NotHere';
import { JumpPanel } from './JumpPanel';
import { SyncLine } from '../../shell/SyncLine';
import { KeyHelp } from './KeyHelp';
import { putFindings, undoLast, useUndo } from '../../visit/findings';
import { quickLook } from '../../visit/quickLook';
import { Spine } from './Spine';
import { Step } from './Step';
import { StepActions, type Panel } from './StepActions';
import { StepActsLine } from './StepActsLine';
import { useSteady } from './useSteady';
import { WaitStrip } from './WaitStrip';
import { RouteLine } from './RouteLine';
import { useReturn } from './useReturn';
import { useRoute } from './useRoute';
import { useTogether } from '../../visit/useTogether';
import { useWalkKeys } from './useWalkKeys';
import { gradingOf, historyOf } from '../../visit/visitContext';
import { swipeAct, type WalkAct } from './walkKeys';

/** The walk: a spine of stops, one thing at a time, the last visit behind every reading. */
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
  const { life, visit, earlier, rules, lookAhead } = found;
  const { vehicle, entries } = life;
  const { inspection } = visit;
  const fleet = useFleet();
  const history = useMemo(
    () => historyOf(vehicle, inspection, earlier, rules, { entries, fleet }),
    [vehicle, inspection, earlier, rules, entries, fleet],
  );
  const grading = useMemo(() => gradingOf(life, visit, rules, lookAhead), [life, visit, rules, lookAhead]);
  const background = useMemo(() => ({ grading, history }), [grading, history]);
  const target = useMemo(() => ({ vehicleId: vehicle.id, visitId: inspection.id }), [vehicle.id, inspection.id]);
  const steps = useMemo(
    () => walkSteps({ vehicle, template: rules.template, house: rules.house, focus: inspection.focus }),
    [vehicle, rules, inspection.focus],
  );
  const [grade] = useState(createGrader);
  // The point in hand answers first; the spine and the rest of the inspection follow a paint later.
  const settled = useDeferredValue(grading);
  const points = useMemo(() => grade(settled), [grade, settled]);
  const unseen = useMemo(
    () =>
      new Set(
        points
          .filter((point) => point.result.grade === 'not-seen' && point.finding?.access !== 'not-reached')
          .map((point) => point.key),
      ),
    [points],
  );
  const openSteps = useMemo(
    () =>
      new Set(
        steps
          .filter((step) => step.points.some(({ point, place }) => unseen.has(pointKey(point, place))))
          .map(({ id }) => id),
      ),
    [steps, unseen],
  );
  const isOpen = (step: WalkStep) => openSteps.has(step.id);
  const stepWith = (key: string | null) =>
    steps.find((step) => step.points.some(({ point, place }) => pointKey(point, place) === key));
  // Chosen once: a point that has just been seen must not be whisked away from under the hand.
  const [chosen, setChosen] = useState(() => (stepWith(at) ?? steps.find(isOpen) ?? steps[0])?.id);
  const [panel, setPanel] = useState<Panel>(null);
  const [jumping, setJumping] = useState(false);
  const [help, setHelp] = useState(false);
  const undoable = useUndo((state) => state.entries.some((entry) => entry.visitId === target.visitId));
  const touched = useRef<{ x: number; y: number } | null>(null);
  const step = steps.find((one) => one.id === chosen);
  const index = step ? steps.indexOf(step) : 0;
  const others = useTogether(target.vehicleId, target.visitId, step?.stop ?? 'cold');
  const route = useRoute({
    vehicle,
    visit,
    earlier,
    steps,
    open: openSteps,
    at: step?.stop ?? 'cold',
    beginWith: rules.house.beginWith,
  });
  const isLast = index === steps.length - 1;
  const quick = step ? quickLook(step, grading.standing, history) : null;
  const ends = `/vehicle/${target.vehicleId}/visit/${target.visitId}/ends` as const;
  useReturn(visit, () => router.replace(`${ends}?back=1` as typeof ends));
  const toEnds = useSteady(() => router.push(ends));
  const overview = () => router.push(`/vehicle/${target.vehicleId}/visit/${target.visitId}/overview`);
  const goTo = (one: WalkStep | undefined) => {
    if (!one) return;
    setChosen(one.id);
    setPanel(null);
    setJumping(false);
  };
  const next = () => (isLast ? overview() : goTo(steps[index + 1]));
  const undo = () => {
    const ref = undoLast(target.visitId);
    if (ref) goTo(stepWith(pointKey(ref.point, ref.place)));
  };
  const takeQuick = () => {
    if (!step || !quick) return;
    void putFindings(
      target,
      step.points.map((ref, at1) => ({ ref, change: () => quick.changes[at1] ?? {} })),
    );
    next();
  };
  const acts: Record<WalkAct, (key: string) => void> = {
    next,
    back: () => goTo(steps[index - 1]),
    sound: takeQuick,
    'hand-grade': () => setPanel('more'),
    number: (key) => typeInto(key),
    photo: () => setPanel('photo'),
    note: () => setPanel('note'),
    jump: () => setJumping(true),
    undo,
    overview,
    help: () => setHelp((before) => !before),
  };
  useWalkKeys((act, key) => acts[act](key));
  const toStop = useSteady((stop: string) =>
    goTo(steps.find((one) => one.stop === stop && isOpen(one)) ?? steps.find((one) => one.stop === stop)),
  );
  const open = useMemo(() => openEnds(visit.acts).length, [visit.acts]);
  const onGo = useSteady((one: WalkStep) => goTo(one));
  const toOverview = useSteady(overview);
  const steadyUndo = useSteady(undo);
  const toYard = useSteady(() => router.replace('/'));
  const toJump = useSteady(() => setJumping(!jumping));
  if (!step) return <NotHere />;

  return (
    <View role="main" style={[styles.walk, { backgroundColor: palette.ground }]}>
      <Spine
        steps={steps}
        points={points}
        current={step.stop}
        axles={vehicle.axles.length}
        open={open}
        others={others}
        onStop={toStop}
        onLooseEnds={toEnds}
        onEnd={toOverview}
        onYard={toYard}
        onJump={toJump}
      />
      <View
        style={styles.main}
        onTouchStart={({ nativeEvent }) => {
          touched.current = isOwnFinger((nativeEvent as object as TouchEvent).target) ? null : fingerOf(nativeEvent);
        }}
        onTouchEnd={({ nativeEvent }) => {
          const [from, to] = [touched.current, fingerOf(nativeEvent)];
          touched.current = null;
          const act = from && to && !jumping ? swipeAct(from, to) : undefined;
          if (act) acts[act]('');
        }}
      >
        {jumping ? (
          <Suspense fallback={null}>
            <JumpPanel
              vehicle={vehicle}
              points={points}
              onPoint={(key) => goTo(stepWith(key))}
              onClose={() => setJumping(false)}
            />
          </Suspense>
        ) : (
          <>
            <ScrollView key={step.id} contentContainerStyle={styles.scroll}>
              <View style={styles.column}>
                {help ? <KeyHelp onClose={() => setHelp(false)} /> : null}
                <Step
                  key={step.id}
                  step={step}
                  position={`${index + 1} of ${steps.length}`}
                  vehicle={vehicle}
                  background={background}
                  target={target}
                />
                <StepActsLine key={`${step.id} acts`} step={step} vehicle={vehicle} visit={visit} onEnds={toEnds} />
                {route ? (
                  <RouteLine route={route} current={step} axles={vehicle.axles.length} onGo={onGo} onEnds={toEnds} />
                ) : null}
                <SyncLine />
              </View>
            </ScrollView>
            <View style={[styles.foot, { borderColor: palette.rule }]}>
              <View style={styles.column}>
                <WaitStrip acts={visit.acts} onPress={toEnds} />
                <StepActions
                  key={step.id}
                  step={step}
                  steps={steps}
                  background={panel === null ? null : background}
                  target={target}
                  panel={panel}
                  onPanel={setPanel}
                  undoable={undoable}
                  onUndo={steadyUndo}
                />
              </View>
              <View style={[styles.column, styles.nextRow]}>
                {index > 0 ? (
                  <Press
                    label="‹"
                    hint="Back to the step before"
                    onPress={() => goTo(steps[index - 1])}
                    style={styles.back}
                  />
                ) : null}
                {quick ? (
                  <Press
                    kind="main"
                    label={`${quick.label} ›`}
                    hint={`${quick.label}, and on`}
                    onPress={takeQuick}
                    style={styles.next}
                  />
                ) : null}
                <Press
                  kind={quick ? 'plain' : 'main'}
                  label={quick ? '›' : isLast ? 'To the overview ›' : 'Next ›'}
                  hint={isLast ? 'To the overview' : 'Next'}
                  onPress={next}
                  style={quick ? styles.back : styles.next}
                />
              </View>
            </View>
          </>
        )}
      </View>
      {wide && !jumping ? (
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

/** Where the finger is that came or went; the browser's own touch, whatever the view calls it. */
function fingerOf(event: object): { readonly x: number; readonly y: number } | null {
  const touch = (event as TouchEvent).changedTouches[0];
  return touch ? { x: touch.pageX, y: touch.pageY } : null;
}

/** A digit pressed anywhere begins the step's first reading. */
function typeInto(digit: string): void {
  const field = document.querySelector<HTMLInputElement>('main input, [role="main"] input');
  if (!field) return;
  field.focus();
  document.execCommand('insertText', false, digit);
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
  foot: { borderTopWidth: 1, padding: SPACE.s, gap: SPACE.s },
  nextRow: { flexDirection: 'row', gap: SPACE.s },
  back: { width: 56, minHeight: 56 },
  next: { flex: 1 },
  side: { maxWidth: 360, borderLeftWidth: 1 },
  sideInside: { padding: SPACE.l },
  signed: { flex: 1, justifyContent: 'center', padding: SPACE.l },
});
