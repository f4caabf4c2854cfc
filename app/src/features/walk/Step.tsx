import {
  cataloguePoint,
  isOwnCode,
  pointKey,
  type CataloguePoint,
  type Phase,
  type PointRef,
  type Vehicle,
  type WalkStep,
  entryOf,
} from '@weskopos/core';
import { doubtId, doubtsAbout } from '@weskopos/core/walk';
import { memo, useMemo, useState, type ReactNode } from 'react';
import { ScrollView, StyleSheet, View } from 'react-native';
import { Choice } from '../../kit/Choice';
import { usePadHasHand } from '../../controls/pad/usePad';
import { FilmStrip } from './FilmStrip';
import { ONE_LINE } from '../../kit/textScale';
import { CORNER, SPACE } from '../../kit/tokens';
import { usePalette } from '../../kit/theme';
import { Heading, Words } from '../../kit/Words';
import { useHeadingFocus } from '../../shell/useHeadingFocus';
import { SyncLine } from '../../shell/SyncLine';
import { words } from '@weskopos/words/en';
import { capital, houseRules, placeWords, pointName } from '@weskopos/words/show';
import { CloseCall } from './CloseCall';
import { Controls } from './controls/Controls';
import type { PutFinding } from './controls/control';
import { alike } from './alike';
import { DoubtCard } from './DoubtCard';
import { putFinding, type Target } from '../../visit/findings';
import { PointPlace } from '../decks/PointPlace';
import { GhostNote } from './GhostNote';
import { LapsedGrade } from './LapsedGrade';
import { SpecKey, SpecLine } from './SpecLine';
import { readingChange } from '../../visit/readings';
import { EarlierToday } from './EarlierToday';
import { fitNewPart } from './fitNewPart';
import { VerdictBar } from './VerdictBar';
import { canPutRight, partnerOf, type Background, type Draft } from '../../visit/visitContext';
import { verdictsOf, type Verdict } from './verdicts';
import { walk as say } from '@weskopos/words/en/pages/walk';

interface StepProps {
  readonly step: WalkStep;
  readonly position: string;
  readonly vehicle: Vehicle;
  readonly background: Background;
  readonly target: Target;
  /** What is to be done to the vehicle before this step. */
  readonly first: ReactNode;
  /** The hand zone, under the verdict. */
  readonly hand: ReactNode;
}

/** One step of the walk: what is looked at scrolls where it must, the verdict and the hand zone stay. */
export function Step({ first, hand, ...about }: StepProps) {
  const palette = usePalette();
  const heading = useHeadingFocus();
  const padHasHand = usePadHasHand();
  const { verdicts, ...drafting } = useVerdicts(about);
  return (
    <>
      <ScrollView style={styles.grow} contentContainerStyle={styles.scroll} {...{ tabIndex: 0 }}>
        <View style={styles.column}>
          <StepHead {...about} heading={heading} />
          {first}
          <StepBody {...about} {...drafting} verdicts={verdicts} />
          <SyncLine />
        </View>
      </ScrollView>
      <View style={[styles.hand, { borderColor: palette.rule }]}>
        <View style={styles.handColumn}>
          <VerdictBar verdicts={verdicts} named={about.step.points.length > 1} />
          {padHasHand ? null : hand}
        </View>
      </View>
    </>
  );
}

type About = Omit<StepProps, 'first' | 'hand'>;

/** A step as part of another page, under that page's own title. */
export function StepInPage(about: About) {
  const { verdicts, ...drafting } = useVerdicts(about);
  return (
    <View style={styles.step}>
      <StepHead {...about} />
      <StepBody {...about} {...drafting} verdicts={verdicts} />
      <VerdictBar verdicts={verdicts} named={about.step.points.length > 1} />
    </View>
  );
}

/** What is in hand, and what the step is judged to be with it. */
function useVerdicts({ step, background }: About) {
  const [draft, onDraft] = useState<Draft | null>(null);
  const verdicts = useMemo(() => verdictsOf(step, background, draft), [step, background, draft]);
  return { verdicts, draft, onDraft };
}

interface StepHeadProps extends About {
  /** Where the step is a view of its own, its heading. */
  readonly heading?: ReturnType<typeof useHeadingFocus>;
}

/** Where one is, what to mind, and what was read here before. */
const StepHead = memo(function StepHead({ step, position, vehicle, background, heading }: StepHeadProps) {
  const palette = usePalette();
  const [spec, setSpec] = useState(false);
  const [first] = step.points;
  if (!first) return null;
  const title = words.step[cataloguePoint(first.point).step] ?? pointName(first.point);
  const place = placeWords(first.place, vehicle);
  const cautions = [...new Set(step.points.flatMap((ref) => cataloguePoint(ref.point).cautions))].filter(
    // The wheel's own caution says it already.
    (caution) => !(caution === 'stands' && step.station === 'wheel'),
  );
  return (
    <>
      <View style={styles.head}>
        <View style={styles.grow}>
          <Words
            size="m"
            soft
            {...ONE_LINE}
          >{`${vehicle.fleetCode} · ${vehicle.make} ${vehicle.model} · ${position}`}</Words>
          <Heading level={heading ? 1 : 2} size="h3" {...(heading ? { ref: heading, tabIndex: -1 } : {})}>
            {place ? `${capital(place)} · ${title.toLowerCase()}` : title}
          </Heading>
        </View>
        <PointPlace vehicle={vehicle} at={first} />
      </View>
      <View style={styles.head}>
        <Words size="s" style={[styles.caution, { borderColor: palette.advisory }]}>
          {[
            entryOf<string>(words.caution, step.station) ?? '',
            ...cautions.map((caution) => words.atPoint[caution]),
          ].join(' ')}
        </Words>
        <SpecKey open={spec} onPress={() => setSpec(!spec)} />
      </View>
      <OwnLook point={first.point} />
      <SpecLine point={first.point} spec={vehicle.spec} open={spec} />
      <GhostNote refs={step.points} history={background.history} unit={vehicle.meterUnit} axles={vehicle} />
    </>
  );
});

interface StepBodyProps extends About {
  readonly verdicts: readonly Verdict[];
  readonly draft: Draft | null;
  readonly onDraft: (draft: Draft | null) => void;
}

/** What the step is read with, and what that asks. */
const StepBody = memo(function StepBody({ step, background, target, verdicts, draft, onDraft }: StepBodyProps) {
  const [phase, setPhase] = useState<Phase>('found');
  const [first] = step.points;
  if (!first) return null;
  const findingOf = (ref: PointRef) => background.grading.standing.get(pointKey(ref.point, ref.place));
  const put: PutFinding = (ref, change) => void putFinding(target, ref, change);
  const hasFound = findingOf(first)?.readings.some((reading) => reading.phase === 'found') ?? false;
  const asked = verdicts.map((verdict) => <Asked key={verdict.key} {...{ verdict, background, phase, put, target }} />);
  const measured = measuredFirst(cataloguePoint(first.point));
  return (
    <View style={styles.step}>
      {step.points.length === 1 ? <EarlierToday pointRef={first} background={background} put={put} /> : null}
      {canPutRight(first) && hasFound ? (
        <Choice
          label={say.asFoundOrAsLeft}
          hideLabel
          options={['found', 'left'] as const}
          word={(one) => (one === 'found' ? say.asFound : say.asLeftPutRight)}
          value={phase}
          onChoose={setPhase}
        />
      ) : null}
      {measured ? null : asked}
      <Controls step={step} background={background} phase={phase} draft={draft} onDraft={onDraft} put={put}>
        {measured ? asked : null}
      </Controls>
      <FilmStrip {...{ step, background, put }} vehicle={background.grading.vehicle} />
    </View>
  );
});

/** Whether what a reading asks stands under the control: a tape does not scroll, a list of words may. */
const measuredFirst = (point: CataloguePoint) => point.measures.some(({ need }) => need !== 'extra');

/** What the workshop wants looked at, where the point is its own. */
function OwnLook({ point }: Pick<PointRef, 'point'>) {
  const look = isOwnCode(point) ? houseRules().ownPoints[point]?.look : '';
  return look ? <Words>{look}</Words> : null;
}

interface AskedProps {
  readonly verdict: Verdict;
  readonly background: Background;
  readonly phase: Phase;
  readonly put: PutFinding;
  readonly target: Target;
}

/** What a finding asks of the inspector: a lapsed grade, a close call, what is doubtful. */
function Asked({ verdict: { ref, result, finding }, background, phase, put, target }: AskedProps) {
  const { grading, history } = background;
  const lapsed = background.lapsed?.(ref) ?? null;
  const last = history.renewedSince(ref) ? undefined : history.lastLook(ref)?.finding;
  const doubts = finding
    ? doubtsAbout(finding, last, partnerOf(ref, background), grading.inspection.startedAt, grading.rules.house)
    : [];
  return (
    <>
      {lapsed ? (
        <LapsedGrade lapsed={lapsed} result={result} onAgain={(override) => put(ref, () => ({ override }))} />
      ) : null}
      <CloseCall
        pointRef={ref}
        result={result}
        finding={finding}
        onAgain={(measure, spot, value) =>
          put(ref, (before) => readingChange(before, { measure, spot, phase }, value, { again: true }))
        }
      />
      {alike(doubts).map((some) => (
        <DoubtCard
          key={some.map(doubtId).join()}
          doubts={some}
          onAnswer={(change) => put(ref, change)}
          onNewPart={() => void fitNewPart(target, ref)}
        />
      ))}
    </>
  );
}

const styles = StyleSheet.create({
  grow: { flex: 1 },
  scroll: { padding: SPACE.m, alignItems: 'center' },
  column: { width: '100%', maxWidth: 560, gap: SPACE.m, alignSelf: 'center' },
  hand: { borderTopWidth: 1, padding: SPACE.s },
  handColumn: { width: '100%', maxWidth: 560, gap: SPACE.s, alignSelf: 'center' },
  step: { gap: SPACE.m },
  head: { flexDirection: 'row', gap: SPACE.s, alignItems: 'center' },
  caution: { borderLeftWidth: 3, paddingLeft: SPACE.s, borderRadius: CORNER.s, flex: 1 },
});
