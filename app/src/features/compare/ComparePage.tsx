import type { Visit } from '@weskopos/contract';
import { isSigned, verdictOfVisit, worseGrade, type FindingPhoto, type GradedPoint } from '@weskopos/core';
import { useLocalSearchParams } from 'expo-router';
import { StyleSheet, View } from 'react-native';
import { Card } from '../../kit/Card';
import { GradeMark } from '../../kit/GradeMark';
import { LinkPress } from '../../kit/LinkPress';
import { Page } from '../../shell/Page';
import { SPACE, TOUCH } from '../../kit/tokens';
import { usePalette } from '../../kit/theme';
import { Heading, Label, Words } from '../../kit/Words';
import { useLife, useRulebooks } from '../../sync/useLife';
import { rulesFor } from '../../sync/workshop';
import { words } from '@weskopos/words/en';
import { dayAndTime, pointWords, type Seats } from '@weskopos/words/show';
import { PhotoStrip } from '../photo/PhotoStrip';
import { PhotoSlider } from './PhotoSlider';
import { NotHere } from '../../shell/NotHere';
import { figuresOf } from '@weskopos/words/figuresOf';
import { compare as say } from '@weskopos/words/en/pages/compare';

/** Two visits side by side: what got worse, what got better, and every figure that moved. */
export function ComparePage() {
  const { id, ...chosen } = useLocalSearchParams<{ id: string; before?: string; after?: string }>();
  const life = useLife(id);
  const rulebooks = useRulebooks();
  const signed = life?.visits.filter(({ inspection }) => isSigned(inspection)) ?? [];
  const palette = usePalette();
  if (!life) return <NotHere />;
  const after = signed.find(({ inspection }) => inspection.id === chosen.after) ?? signed.at(-1);
  const before =
    signed.find(({ inspection }) => inspection.id === chosen.before) ??
    signed.findLast(({ inspection }) => inspection.startedAt < (after?.inspection.startedAt ?? ''));
  const graded = (visit: Visit) =>
    new Map(
      verdictOfVisit(life.vehicle, visit, rulesFor(rulebooks, visit.inspection)).points.map((point) => [
        point.key,
        point,
      ]),
    );
  const axles = life.vehicle.axles.length;
  const then = before && after && before !== after ? graded(before) : null;
  const pairs = then && after ? [...graded(after)].map(([key, now]) => ({ key, now, then: then.get(key) })) : [];
  const moved = pairs.filter(
    ({ now, then }) => then && now.result.grade !== then.result.grade && seen(now) && seen(then),
  );
  const worse = moved.filter(
    ({ now, then }) => then && worseGrade(now.result.grade, then.result.grade) === now.result.grade,
  );
  const better = moved.filter((pair) => !worse.includes(pair));
  const figures = pairs.filter(
    ({ now, then }) => figuresOf(now) !== '' && figuresOf(then) !== '' && figuresOf(now) !== figuresOf(then),
  );
  return (
    <Page
      title={say.compare}
      over={`${life.vehicle.fleetCode} · ${life.vehicle.make} ${life.vehicle.model}`}
      width={760}
    >
      {signed.length < 2 ? (
        <Card>
          <Words>
            {say.twoSignedVisitsAreNeeded}
            {signed.length === 1 ? say.isOne : say.isNone}.
          </Words>
        </Card>
      ) : (
        <>
          <View style={styles.row}>
            <Words style={styles.grow}>
              {before && after ? say.two(visitWords(before), visitWords(after)) : say.chooseTwoDifferentVisits}
            </Words>
            <LinkPress href={`/vehicle/${id}/life?mark=1`} style={styles.others}>
              <Label colour={palette.pass}>{say.others}</Label>
            </LinkPress>
          </View>
          {[
            { title: say.gotWorse, list: worse },
            { title: say.gotBetter, list: better },
          ].map(({ title, list }) =>
            pairs.length > 0 ? (
              <Card key={title}>
                <Heading level={2}>{title}</Heading>
                {list.length === 0 ? <Words soft>{say.nothing}</Words> : null}
                {list.map(({ key, now, then }) => (
                  <View key={key} style={styles.stack}>
                    <View style={styles.row}>
                      <GradeMark grade={then?.result.grade ?? 'not-seen'} height={26} />
                      <GradeMark grade={now.result.grade} height={26} />
                      <Words style={styles.grow}>
                        {`${pointWords(now.point, now.place, axles)}: ${words.grade[then?.result.grade ?? 'not-seen'].toLowerCase()} → ${words.grade[now.result.grade].toLowerCase()}`}
                      </Words>
                    </View>
                    <Pictures
                      then={then?.finding?.photos ?? []}
                      now={now.finding?.photos ?? []}
                      label={pointWords(now.point, now.place, axles)}
                    />
                  </View>
                ))}
              </Card>
            ) : null,
          )}
          {figures.length > 0 ? <Figures pairs={figures} axles={axles} /> : null}
        </>
      )}
    </Page>
  );
}

interface PicturesProps {
  readonly then: readonly FindingPhoto[];
  readonly now: readonly FindingPhoto[];
  readonly label: string;
}

/** The last picture of each visit over each other; where only one of them has any, as they are. */
function Pictures({ then, now, label }: PicturesProps) {
  const [before, after] = [then.at(-1), now.at(-1)];
  if (before && after) return <PhotoSlider {...{ before, after, label }} />;
  return (
    <View style={styles.photos}>
      <PhotoStrip photos={then} label={say.pointBefore(label)} size={110} />
      <PhotoStrip photos={now} label={say.pointAfter(label)} size={110} />
    </View>
  );
}

/** Visits of one day are told apart by the hour and by who made them. */
const visitWords = ({ inspection, inspector }: Visit) => `${dayAndTime(inspection.startedAt)}, ${inspector}`;

const seen = ({ result }: GradedPoint) => result.grade !== 'not-seen';

interface FiguresProps {
  readonly pairs: readonly {
    readonly key: string;
    readonly now: GradedPoint;
    readonly then: GradedPoint | undefined;
  }[];
  readonly axles: Seats;
}

function Figures({ pairs, axles }: FiguresProps) {
  const palette = usePalette();
  return (
    <Card>
      <Heading level={2}>{say.figuresThatMoved}</Heading>
      <View role="table" aria-label={say.figuresThatMoved}>
        <View role="row" style={styles.line}>
          {[say.point, say.before, say.after].map((column) => (
            <View role="columnheader" key={column} style={styles.grow}>
              <Label size="m" soft>
                {column}
              </Label>
            </View>
          ))}
        </View>
        {pairs.map(({ key, now, then }) => (
          <View role="row" key={key} style={[styles.line, { borderColor: palette.rule }]}>
            {[pointWords(now.point, now.place, axles), figuresOf(then), figuresOf(now)].map((text, index) => (
              <View role="cell" key={index} style={styles.grow}>
                <Words size="m">{text}</Words>
              </View>
            ))}
          </View>
        ))}
      </View>
    </Card>
  );
}

const styles = StyleSheet.create({
  stack: { gap: SPACE.xs },
  row: { flexDirection: 'row', alignItems: 'center', gap: SPACE.s },
  photos: { flexDirection: 'row', flexWrap: 'wrap', gap: SPACE.s },
  line: {
    flexDirection: 'row',
    borderTopWidth: 1,
    borderColor: 'transparent',
    paddingVertical: SPACE.xs,
    gap: SPACE.s,
  },
  grow: { flex: 1 },
  others: { minHeight: TOUCH.least, justifyContent: 'center', paddingHorizontal: SPACE.s },
});
