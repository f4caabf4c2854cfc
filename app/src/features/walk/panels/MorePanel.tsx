import { carriedContent, gradePoint, pointKey, walkSteps, type GradeOverride, type PointRef } from '@weskopos/core';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { Choice } from '../../../kit/Choice';
import { Field } from '../../../kit/Field';
import { Press } from '../../../kit/Press';
import { SPACE } from '../../../kit/tokens';
import { Words } from '../../../kit/Words';
import { useWorkshop } from '../../../sync/workshop';
import { words } from '@weskopos/words/en';
import { capital, day, placeWords, pointShort, type Seats } from '@weskopos/words/show';
import { clearPoint, putFinding, putFindings, swapPlaces, type Target } from '../../../visit/findings';
import { lookChange } from '../../../visit/readings';
import type { Background } from '../../../visit/visitContext';
import { panels as say } from '@weskopos/words/en/pages/panels';

interface MorePanelProps {
  readonly pointRef: PointRef;
  readonly rest: readonly PointRef[];
  readonly background: Background;
  readonly target: Target;
  readonly onDone: () => void;
}

const GIVEN = ['pass', 'advisory', 'fail'] as const;

/** The rarer things: carry the last look, say the rest of the station is sound, grade by hand. */
export function MorePanel({ pointRef, rest, background, target, onDone }: MorePanelProps) {
  const { grading, history } = background;
  const carriable = history.carriable(pointRef);
  return (
    <View style={styles.panel}>
      {carriable ? (
        <Press
          label={say.carryTheLookOf(day(carriable.visit.inspection.startedAt))}
          onPress={() => {
            void putFinding(target, pointRef, () => carriedContent(carriable.finding, carriable.visit.inspection));
            onDone();
          }}
        />
      ) : null}
      <WrongPlace pointRef={pointRef} background={background} target={target} onDone={onDone} />
      <RestOfStop rest={rest} axles={grading.vehicle} target={target} onDone={onDone} />
      <ByHand
        key={pointKey(pointRef.point, pointRef.place)}
        pointRef={pointRef}
        background={background}
        target={target}
      />
    </View>
  );
}

/** What was said here was of another wheel, or is to be unsaid. */
function WrongPlace({ pointRef, background, target, onDone }: Omit<MorePanelProps, 'rest'>) {
  const [asked, setAsked] = useState(false);
  const { vehicle, rules, inspection, standing } = background.grading;
  const { point, place } = pointRef;
  const finding = standing.get(pointKey(point, place));
  if (!finding || finding.access === 'open') return null;
  const steps = walkSteps({ vehicle, template: rules.template, house: rules.house, focus: inspection.focus });
  const places = steps
    .flatMap(({ points }) => points)
    .filter((one) => one.point === point && one.place !== place)
    .map((one) => one.place);
  const done = (act: Promise<void>) => {
    void act;
    onDone();
  };
  return (
    <View style={styles.group}>
      {places.length === 0 || target.draft ? null : asked ? (
        <Choice
          label={say.wasOf}
          options={places}
          word={(one) => capital(placeWords(one, vehicle))}
          value={null}
          onChoose={(one) => done(swapPlaces(target, pointRef, one))}
        />
      ) : (
        <Press label={say.anotherWheel} onPress={() => setAsked(true)} />
      )}
      <Press label={say.clearPoint} onPress={() => done(clearPoint(target, pointRef))} />
    </View>
  );
}

function RestOfStop({
  rest,
  axles,
  target,
  onDone,
}: Pick<MorePanelProps, 'rest' | 'target' | 'onDone'> & { readonly axles: Seats }) {
  const [asked, setAsked] = useState(false);
  if (rest.length === 0)
    return (
      <Words size="m" soft>
        {say.nothingIsLeftHereThat}
      </Words>
    );
  if (!asked) return <Press label={say.theRestOfThisStation(rest.length)} onPress={() => setAsked(true)} />;
  return (
    <View style={styles.group}>
      <Words size="m">
        {say.lookedAtAndSoundWhat(rest.map(({ point, place }) => pointShort(point, place, axles)).join(', '))}
      </Words>
      <Press
        kind="main"
        label={say.yesTheseAreSound(rest.length)}
        onPress={() => {
          void putFindings(
            target,
            rest.map((ref) => ({ ref, change: (before) => ({ ...lookChange(before, {}), inOneStroke: true }) })),
          );
          onDone();
        }}
      />
    </View>
  );
}

/** A grade of one's own, with a reason; the computed one stays beside it. What fails the law is a lead's to grade. */
function ByHand({ pointRef, background, target }: Pick<MorePanelProps, 'pointRef' | 'background' | 'target'>) {
  const person = useWorkshop((state) => state.person);
  const finding = background.grading.standing.get(pointKey(pointRef.point, pointRef.place));
  const result = gradePoint(pointRef, background.grading);
  const [grade, setGrade] = useState<GradeOverride['grade'] | null>(finding?.override?.grade ?? null);
  const [reason, setReason] = useState(finding?.override?.reason ?? '');
  if (!finding || finding.access === 'open' || finding.access === 'not-reached') return null;
  if (result.failsLaw && person?.role !== 'lead')
    return (
      <Words size="m" soft>
        {say.aLimitOfTheLaw}
      </Words>
    );
  return (
    <View style={styles.group}>
      <Choice
        label={say.gradeByHandComputed(words.grade[result.computed].toLowerCase())}
        options={GIVEN}
        word={(one) => words.grade[one]}
        value={grade}
        onChoose={setGrade}
      />
      {grade ? (
        <>
          <Field label={say.whyItIsGradedOtherwise} value={reason} onChangeText={setReason} maxLength={500} />
          <View style={styles.row}>
            <Press
              label={say.keepThisGrade}
              disabled={reason.trim() === ''}
              onPress={() => void putFinding(target, pointRef, () => ({ override: { grade, reason: reason.trim() } }))}
            />
            {finding.override ? (
              <Press
                label={say.backToTheComputedOne}
                onPress={() => {
                  setGrade(null);
                  void putFinding(target, pointRef, () => ({ override: null }));
                }}
              />
            ) : null}
          </View>
        </>
      ) : null}
    </View>
  );
}

const styles = StyleSheet.create({
  panel: { gap: SPACE.m },
  group: { gap: SPACE.s },
  row: { flexDirection: 'row', flexWrap: 'wrap', gap: SPACE.s },
});
