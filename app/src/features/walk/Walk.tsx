import { isOpen } from '@weskopos/core';
import { useLocalSearchParams, useRouter } from 'expo-router';
import { Suspense, useEffect, useMemo } from 'react';
import { ScrollView, StyleSheet, View } from 'react-native';
import { Press } from '../../kit/Press';
import { SPACE } from '../../kit/tokens';
import { useIsWide, usePalette } from '../../kit/theme';
import { useVisit, type FoundVisit } from '../../sync/useLife';
import { CoverageList } from '../../visit/CoverageList';
import { useUndo } from '../../visit/findings';
import { useTogether } from '../../visit/useTogether';
import { NotHere } from '../../shell/NotHere';
import { useTitle } from '../../shell/useTitle';
import { Words } from '../../kit/Words';
import { JumpPanel } from './JumpPanel';
import { KeyHelp } from './KeyHelp';
import { NextRow } from './NextRow';
import { routeNext } from './routeWay';
import { Spine } from './Spine';
import { Step } from './Step';
import { StepActions } from './StepActions';
import { StepActsLine } from './StepActsLine';
import { SwipeArea } from './SwipeArea';
import { useReturn } from './useReturn';
import { useRoute } from './useRoute';
import { useSteady } from './useSteady';
import { useWalkKeys } from './useWalkKeys';
import { useWalkPoints } from './useWalkPoints';
import { useWalkWay } from './useWalkWay';
import { takeGaugesOf } from '../../visit/gauges';
import { spine } from '@weskopos/words/en/pages/spine';
import { walk as say } from '@weskopos/words/en/pages/walk';

/** The walk: a spine of stops, one thing at a time, the last visit behind every reading. */
export function Walk() {
  const { id, visit: visitId, at } = useLocalSearchParams<{ id: string; visit: string; at?: string }>();
  const found = useVisit(id, visitId);
  const router = useRouter();
  if (!found) return <NotHere />;
  if (!isOpen(found.visit.inspection))
    return <Ended onReport={() => router.replace(`/vehicle/${id}/visit/${visitId}/report`)} />;
  return <WalkThrough key={`${visitId}${at ?? ''}`} found={found} at={at ?? null} />;
}

interface WalkThroughProps {
  readonly found: FoundVisit;
  /** The point to begin at; else the first that is not seen. */
  readonly at: string | null;
}

function WalkThrough({ found, at }: WalkThroughProps) {
  const router = useRouter();
  const palette = usePalette();
  const wide = useIsWide();
  const { visit, earlier, rules } = found;
  const { vehicle } = found.life;
  const target = useMemo(
    () => ({ vehicleId: vehicle.id, visitId: visit.inspection.id }),
    [vehicle.id, visit.inspection.id],
  );
  const walked = useWalkPoints(found);
  const { background, steps, points, openSteps } = walked;
  const way = useWalkWay(walked, target, at);
  const { step, jumping, acts } = way;
  const stop = step?.stop ?? 'cold';
  useEffect(() => takeGaugesOf(target.visitId), [target.visitId]);
  const undoable = useUndo((state) => state.entries.some(({ visitId }) => visitId === target.visitId));
  const others = useTogether(target.vehicleId, target.visitId, stop);
  const route = useRoute({
    vehicle,
    visit,
    earlier,
    steps,
    open: openSteps,
    at: stop,
    beginWith: rules.house.beginWith,
  });
  useReturn(visit, () => router.replace(`/vehicle/${target.vehicleId}/visit/${target.visitId}/ends?back=1`));
  useWalkKeys((act, key) => acts[act](key));
  const next = useMemo(() => (route && step ? routeNext(route, step, vehicle) : null), [route, step, vehicle]);
  useTitle(spine.page.visit, vehicle.fleetCode);
  const toEnds = useSteady(way.toEnds);
  const gate = `/vehicle/${target.vehicleId}/visit/${target.visitId}/gate` as const;
  const hasGate = steps.some(({ stop: one }) => one === 'cold') && vehicle.makeUp.power !== 'electric';
  // The gate's points are seen on one screen.
  const toStop = useSteady((one: string) => (one === 'cold' && hasGate ? router.push(gate) : way.toStop(one)));
  const onGo = useSteady(way.goTo);
  const toOverview = useSteady(() => acts.overview(''));
  const undo = useSteady(() => acts.undo(''));
  const toYard = useSteady(() => router.replace('/'));
  const toJump = useSteady(() => way.setJumping(!jumping));
  if (!step) return <NotHere />;

  return (
    <View role="main" style={[styles.walk, { backgroundColor: palette.ground }]}>
      <Spine
        steps={steps}
        points={points}
        current={stop}
        axles={vehicle}
        acts={visit.acts}
        next={next}
        others={others}
        onStop={toStop}
        onLooseEnds={toEnds}
        onEnd={toOverview}
        onYard={toYard}
        onJump={toJump}
      />
      <SwipeArea onSwipe={(act) => jumping || acts[act]('')}>
        {jumping ? (
          <Suspense fallback={null}>
            <JumpPanel
              vehicle={vehicle}
              points={points}
              route={route}
              onPoint={way.goToPoint}
              onStep={onGo}
              onEnds={toEnds}
              onClose={() => way.setJumping(false)}
              onArrival={() => router.push(`/vehicle/${target.vehicleId}/visit/${target.visitId}/arrival`)}
            />
          </Suspense>
        ) : (
          <Step
            key={step.id}
            step={step}
            position={say.positionOf(way.index + 1, steps.length)}
            vehicle={vehicle}
            background={background}
            target={target}
            first={
              <>
                {way.help ? <KeyHelp onClose={() => acts.help('')} /> : null}
                <StepActsLine {...{ step, visit }} grading={background.grading} onEnds={toEnds} />
              </>
            }
            hand={
              <>
                {way.overtaken ? <Words role="alert">{say.overtaken}</Words> : null}
                <StepActions
                  step={step}
                  steps={steps}
                  background={way.panel === null ? null : background}
                  target={target}
                  panel={way.panel}
                  onPanel={way.setPanel}
                  undoable={undoable}
                  onUndo={undo}
                />
                <NextRow way={way} />
              </>
            }
          />
        )}
      </SwipeArea>
      {wide && !jumping ? (
        <ScrollView
          style={[styles.side, { backgroundColor: palette.panel, borderColor: palette.rule }]}
          contentContainerStyle={styles.sideInside}
        >
          <CoverageList points={points} axles={vehicle} onPoint={({ key }) => way.goToPoint(key)} />
        </ScrollView>
      ) : null}
    </View>
  );
}

function Ended({ onReport }: { readonly onReport: () => void }) {
  return (
    <View style={styles.signed}>
      <Press kind="main" label={say.thisVisitHasEnded} onPress={onReport} />
    </View>
  );
}

const styles = StyleSheet.create({
  walk: { flex: 1, flexDirection: 'row' },
  side: { maxWidth: 360, borderLeftWidth: 1 },
  sideInside: { padding: SPACE.l },
  signed: { flex: 1, justifyContent: 'center', padding: SPACE.l },
});
