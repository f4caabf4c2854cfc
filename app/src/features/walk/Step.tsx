import {
  answeredBy,
  cataloguePoint,
  gradePoint,
  isOwnCode,
  pointKey,
  type CataloguePoint,
  type Phase,
  type PointRef,
  type Vehicle,
  type WalkStep,
  entryOf,
} from '@weskopos/core';
import { doubtsAbout } from '@weskopos/core/walk';
import { memo, useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { Choice } from '../../kit/Choice';
import { PhotoStrip } from '../photo/PhotoStrip';
import { CORNER, SPACE } from '../../kit/tokens';
import { usePalette } from '../../kit/theme';
import { Heading, Words } from '../../kit/Words';
import { words } from '../../words/en';
import { capital, houseRules, placeWords, pointWords, pointName } from '../../words/show';
import { CloseCall } from './CloseCall';
import { Controls } from './controls/Controls';
import type { PutFinding } from './controls/control';
import { DoubtCard } from './DoubtCard';
import { putFinding, type Target } from '../../visit/findings';
import { GhostNote } from './GhostNote';
import { LapsedGrade } from './LapsedGrade';
import { SpecKey, SpecLine } from './SpecLine';
import { readingChange } from '../../visit/readings';
import { EarlierToday } from './EarlierToday';
import { fitNewPart } from './fitNewPart';
import { ReasonCard } from './ReasonCard';
import { canPutRight, partnerOf, withDraft, type Background, type Draft } from '../../visit/visitContext';
import { walk as say } from '../../words/en/pages/walk';

interface StepProps {
  readonly step: WalkStep;
  readonly position: string;
  readonly vehicle: Vehicle;
  readonly background: Background;
  readonly target: Target;
}

/** Whether the verdict fits under the control: a tape does not scroll, a list of words may. */
const measuredFirst = (point: CataloguePoint) => point.measures.some(({ need }) => need !== 'extra');

/** One step of the walk: cautions, last look, control, grade and why. */
export const Step = memo(function Step({ step, position, vehicle, background, target }: StepProps) {
  const palette = usePalette();
  const [draft, setDraft] = useState<Draft | null>(null);
  const [phase, setPhase] = useState<Phase>('found');
  const [spec, setSpec] = useState(false);
  const [first] = step.points;
  if (!first) return null;
  const point = cataloguePoint(first.point);
  const findingOf = (ref: PointRef) => background.grading.standing.get(pointKey(ref.point, ref.place));
  const put: PutFinding = (ref, change) => void putFinding(target, ref, change);
  const title = words.step[point.step] ?? pointName(first.point);
  const place = placeWords(first.place, vehicle);
  const hasFound = findingOf(first)?.readings.some((reading) => reading.phase === 'found') ?? false;
  const cautions = [...new Set(step.points.flatMap((ref) => cataloguePoint(ref.point).cautions))].filter(
    // The wheel's own caution says it already.
    (caution) => !(caution === 'stands' && step.station === 'wheel'),
  );
  const verdicts = (
    <Verdicts
      step={step}
      background={background}
      draft={draft}
      phase={phase}
      put={put}
      vehicle={vehicle}
      target={target}
    />
  );

  return (
    <View style={styles.step}>
      <View>
        <Words size="m" soft>{`${vehicle.fleetCode} · ${vehicle.make} ${vehicle.model} · ${position}`}</Words>
        <Heading level={1}>{place ? `${capital(place)} · ${title.toLowerCase()}` : title}</Heading>
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
      {measuredFirst(point) ? null : verdicts}
      <Controls step={step} background={background} phase={phase} draft={draft} onDraft={setDraft} put={put}>
        {measuredFirst(point) ? verdicts : null}
      </Controls>
    </View>
  );
});

/** What the workshop wants looked at, where the point is its own. */
function OwnLook({ point }: Pick<PointRef, 'point'>) {
  const look = isOwnCode(point) ? houseRules().ownPoints[point]?.look : '';
  return look ? <Words>{look}</Words> : null;
}

interface VerdictsProps {
  readonly step: WalkStep;
  readonly background: Background;
  readonly draft: Draft | null;
  readonly phase: Phase;
  readonly put: PutFinding;
  readonly vehicle: Vehicle;
  readonly target: Target;
}

function Verdicts({ step, background, draft, phase, put, vehicle, target }: VerdictsProps) {
  const { grading, history } = background;
  return step.points.map((ref) => {
    const key = pointKey(ref.point, ref.place);
    const finding = grading.standing.get(key);
    // What another moment of the visit has read answers here too, until it is read again.
    const other = draft?.key === key ? null : answeredBy(ref, grading.standing);
    const result = gradePoint(other ?? ref, withDraft(grading, ref, draft?.key === key ? draft : null));
    // Nothing said of the disc between two pads is told by its own line in the control.
    if (step.points.length > 1 && result.reasons[0]?.rule === 'not-looked-at') return null;
    const lapsed = background.lapsed?.(ref) ?? null;
    const last = history.renewedSince(ref) ? undefined : history.lastLook(ref)?.finding;
    const doubts = finding
      ? doubtsAbout(finding, last, partnerOf(ref, background), grading.inspection.startedAt, grading.rules.house)
      : [];
    return (
      <View key={key} style={styles.point}>
        <ReasonCard {...(step.points.length > 1 ? { title: pointName(ref.point) } : {})} result={result} />
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
        {doubts.map((doubt) => (
          <DoubtCard
            key={`${doubt.code}${doubt.spot}`}
            doubt={doubt}
            onAnswer={(change) => put(ref, change)}
            onNewPart={() => void fitNewPart(target, ref)}
          />
        ))}
        <PhotoStrip
          photos={finding?.photos ?? []}
          label={pointWords(ref.point, ref.place, vehicle)}
          onChange={(photos) => put(ref, () => ({ photos }))}
        />
      </View>
    );
  });
}

const styles = StyleSheet.create({
  step: { gap: SPACE.m },
  point: { gap: SPACE.s },
  head: { flexDirection: 'row', gap: SPACE.s, alignItems: 'center' },
  caution: { borderLeftWidth: 3, paddingLeft: SPACE.s, borderRadius: CORNER.s, flex: 1 },
});
