import {
  cataloguePoint,
  doubtsAbout,
  gradePoint,
  pointKey,
  type Finding,
  type FindingChange,
  type Phase,
  type PointRef,
  type Vehicle,
  type WalkStep,
} from '@weskopos/core';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { Choice } from '../../kit/Choice';
import { PhotoStrip } from '../../kit/PhotoStrip';
import { CORNER, SPACE } from '../../kit/tokens';
import { usePalette } from '../../kit/theme';
import { Heading, Words } from '../../kit/Words';
import { words } from '../../words/en';
import { capital, placeWords, pointWords } from '../../words/show';
import { CloseCall } from './CloseCall';
import { DoubtCard } from './DoubtCard';
import { putFinding } from './findings';
import { GhostNote } from './GhostNote';
import { LeakPicker } from './LeakPicker';
import { MeasureColumns, type Draft } from './MeasureColumns';
import { readingChange, wordChange } from './readings';
import { ReasonCard } from './ReasonCard';
import { withDraft, type Background } from './visitContext';
import { WordPicker } from './WordPicker';

interface StepProps {
  readonly step: WalkStep;
  readonly position: string;
  readonly vehicle: Vehicle;
  readonly background: Background;
  readonly target: { readonly vehicleId: string; readonly visitId: string };
}

/** One step of the walk: last look, control, grade and why. */
export function Step({ step, position, vehicle, background, target }: StepProps) {
  const palette = usePalette();
  const [draft, setDraft] = useState<Draft | null>(null);
  const [phase, setPhase] = useState<Phase>('found');
  const { standing } = background.grading;
  const [first] = step.points;
  if (!first) return null;
  const point = cataloguePoint(first.point);
  const findingOf = (ref: PointRef) => standing.get(pointKey(ref.point, ref.place));
  const put = (ref: PointRef, change: (before: Finding | undefined) => FindingChange) =>
    void putFinding(target, ref, change);
  const graded = (ref: PointRef) => {
    const key = pointKey(ref.point, ref.place);
    return gradePoint(
      ref,
      draft?.key === key ? withDraft(background, ref, draft.spot, phase, draft.value) : background.grading,
    );
  };
  const title = words.step[point.step] ?? words.point[first.point];
  const place = placeWords(first.place, vehicle.axles.length);
  const canPutRight = point.measure === 'level' || point.measure === 'pressure';
  const hasFound = findingOf(first)?.readings.some((reading) => reading.phase === 'found') ?? false;

  const verdicts = step.points.map((ref) => (
    <View key={pointKey(ref.point, ref.place)} style={styles.point}>
      <ReasonCard {...(step.points.length > 1 ? { title: words.point[ref.point] } : {})} result={graded(ref)} />
      <CloseCall
        pointRef={ref}
        result={graded(ref)}
        finding={findingOf(ref)}
        onAgain={(spot, value) => {
          const { measure } = cataloguePoint(ref.point);
          if (measure) put(ref, (before) => readingChange(before, { measure, spot, phase }, value, true));
        }}
      />
      <Doubts
        pointRef={ref}
        finding={findingOf(ref)}
        last={background.lastFinding(ref)?.finding}
        onAnswer={(change) => put(ref, change)}
      />
      <PhotoStrip
        photos={findingOf(ref)?.photos ?? []}
        label={pointWords(ref.point, ref.place, vehicle.axles.length)}
      />
    </View>
  ));

  return (
    <View style={styles.step}>
      <View>
        <Words size="m" soft>{`${vehicle.fleetCode} · ${vehicle.make} ${vehicle.model} · ${position}`}</Words>
        <Heading level={1}>{place ? `${capital(place)} · ${title.toLowerCase()}` : title}</Heading>
      </View>
      <Words size="s" style={[styles.caution, { borderColor: palette.advisory }]}>
        {words.caution[step.station as 'cold' | 'bonnet' | 'wheel' | 'under']}
      </Words>
      <GhostNote refs={step.points} background={background} />
      {canPutRight && hasFound ? (
        <Choice
          label="As found or as left"
          hideLabel
          options={['found', 'left'] as const}
          word={(one) => (one === 'found' ? 'As found' : 'As left, put right')}
          value={phase}
          onChoose={setPhase}
        />
      ) : null}
      {point.measure ? (
        <MeasureColumns
          refs={step.points}
          background={background}
          phase={phase}
          draft={draft}
          onDraft={setDraft}
          onReading={(ref, spot, value) => {
            setDraft(null);
            const { measure } = cataloguePoint(ref.point);
            if (measure) put(ref, (before) => readingChange(before, { measure, spot, phase }, value));
          }}
        />
      ) : null}
      {/* Long pickers come after the verdict, so that it stays in sight. */}
      {point.measure ? null : verdicts}
      {point.kind === 'leak' ? (
        <LeakPicker
          pointRef={first}
          finding={findingOf(first)}
          onLeak={(leak) => put(first, () => ({ leak, access: 'seen', accessReason: null }))}
        />
      ) : null}
      {point.kind === 'words' && point.vocabulary ? (
        <WordPicker
          vocabulary={point.vocabulary}
          finding={findingOf(first)}
          onWord={(word) => put(first, (before) => wordChange(before, word))}
          onSound={() => put(first, () => ({ words: [], access: 'seen', accessReason: null }))}
        />
      ) : null}
      {point.measure ? verdicts : null}
    </View>
  );
}

function Doubts({
  pointRef,
  finding,
  last,
  onAnswer,
}: {
  readonly pointRef: PointRef;
  readonly finding: Finding | undefined;
  readonly last: Finding | undefined;
  readonly onAnswer: (change: (before: Finding | undefined) => FindingChange) => void;
}) {
  const { measure } = cataloguePoint(pointRef.point);
  if (!finding || !measure) return null;
  return doubtsAbout(finding, last).map((doubt) => (
    <DoubtCard key={`${doubt.code}${doubt.spot}`} doubt={doubt} measure={measure} onAnswer={onAnswer} />
  ));
}

const styles = StyleSheet.create({
  step: { gap: SPACE.m },
  point: { gap: SPACE.s },
  caution: { borderLeftWidth: 3, paddingLeft: SPACE.s, borderRadius: CORNER.s },
});
