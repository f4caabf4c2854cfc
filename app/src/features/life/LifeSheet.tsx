import { newestRulebook, rulesOf, verdictFor, worstFirst } from '@weskopos/core';
import { outlookOf } from '@weskopos/core/outlook';
import { useLocalSearchParams, useRouter } from 'expo-router';
import { Suspense, useMemo, useState } from 'react';
import { Pressable, ScrollView, StyleSheet, View } from 'react-native';
import { Card } from '../../kit/Card';
import { GradeMark } from '../../kit/GradeMark';
import { Page } from '../../shell/Page';
import { Press } from '../../kit/Press';
import { SPACE, TOUCH } from '../../kit/tokens';
import { useIsWide, usePalette } from '../../kit/theme';
import { Heading, Label, Words } from '../../kit/Words';
import { useFleet, useLife, useRulebooks } from '../../sync/useLife';
import { rulesFor } from '../../sync/workshop';
import { words } from '../../words/en';
import { shortWhen } from '../../words/forecastSentence';
import { day, meterWords, pointShort } from '../../words/show';
import { Decks } from '../decks/Decks';
import { DueCard } from './DueCard';
import { InferredCard } from './InferredCard';
import { LogCard } from './LogCard';
import { PartsCard } from './PartsCard';
import { StatePanel } from '../trend/StatePanel';
import { StatesCard } from './StatesCard';
import { TrendPanel } from '../trend/TrendPanel';
import { ChangesCard } from './ChangesCard';
import { PointLine } from '../../visit/PointLine';
import { VerdictCard } from '../overview/VerdictCard';
import { NotHere } from '../../shell/NotHere';

const MOST_TRENDS = 6;
/** A chance to be under the limit before the next visit is told from here on. */
const TOLD_CHANCE = 0.05;

/** One vehicle: its state, worst first, its decks, what runs out, and every visit. */
export function LifeSheet() {
  const { id } = useLocalSearchParams<{ id: string }>();
  const life = useLife(id);
  const rulebooks = useRulebooks();
  const fleet = useFleet();
  const router = useRouter();
  const wide = useIsWide();
  const palette = usePalette();
  const [shown, setShown] = useState<string | null>(null);
  const sheet = useMemo(() => {
    if (!life) return undefined;
    const signed = life.visits.filter(({ inspection }) => inspection.signedAt !== null);
    const last = signed.at(-1);
    const today = rulesOf(newestRulebook(rulebooks), 'full');
    return {
      signed,
      last,
      open: life.visits.findLast(({ inspection }) => inspection.signedAt === null),
      verdict: last && verdictFor(life.vehicle, last.inspection, last.findings, rulesFor(rulebooks, last.inspection)),
      outlook: outlookOf(life.vehicle, signed, life.entries, today, fleet),
      today,
      grades: new Map(
        signed.map(({ inspection, findings }) => [
          inspection.id,
          verdictFor(life.vehicle, inspection, findings, rulesFor(rulebooks, inspection)).grade,
        ]),
      ),
    };
  }, [life, rulebooks, fleet]);
  if (!life || !sheet) return <NotHere />;
  const { vehicle } = life;
  const { last, open, verdict, outlook, signed, today, grades } = sheet;
  const axles = vehicle.axles.length;
  const showTrend = (key: string) =>
    wide ? setShown(key) : router.push(`/vehicle/${id}/trend/${encodeURIComponent(key)}`);
  const trend = outlook.parts.find(({ series }) => series.key === shown) ?? outlook.parts[0];
  const state = outlook.states.find(({ key }) => key === shown);

  const facts = (
    <View style={styles.stack}>
      <View>
        <Words soft>{[words.vehicleClass[vehicle.class], vehicle.year, vehicle.plate].join(' · ')}</Words>
        <Words>
          {[
            `${vehicle.make} ${vehicle.model}`.trim(),
            last ? meterWords(last.inspection.meter, vehicle.meterUnit) : '',
            vehicle.use,
          ]
            .filter(Boolean)
            .join(' · ')}
        </Words>
      </View>
      {verdict && last ? (
        <VerdictCard verdict={verdict} when={day(last.inspection.startedAt)} />
      ) : (
        <Card>
          <Heading level={2}>Never inspected</Heading>
          <Words>Begin a visit: the first one gives grades, from the second one on there are trends.</Words>
        </Card>
      )}
      {verdict && worstFirst(verdict.points).length > 0 ? (
        <Card>
          <Heading level={2}>Worst first</Heading>
          {worstFirst(verdict.points).map((graded) => (
            <Pressable
              key={graded.key}
              role="link"
              onPress={() => {
                const keys = [
                  ...outlook.parts.map(({ series }) => series.key),
                  ...outlook.states.map((one) => one.key),
                ];
                const key = keys.find((one) => one.startsWith(`${graded.key}:`));
                if (key) showTrend(key);
              }}
            >
              <PointLine graded={graded} axles={axles} brief />
            </Pressable>
          ))}
        </Card>
      ) : null}
    </View>
  );
  const beside = (
    <Suspense fallback={null}>
      {last ? <DueCard life={life} last={last} /> : null}
      <ChangesCard changes={outlook.changes} leaks={outlook.leaks} axles={axles} />
      <InferredCard vehicle={vehicle} series={outlook.series} />
      <PartsCard life={life} parts={outlook.parts} meter={last?.inspection.meter ?? null} />
      <StatesCard vehicle={vehicle} states={outlook.states} onShow={showTrend} />
      <LogCard life={life} lastMeter={last?.inspection.meter ?? null} />
    </Suspense>
  );
  const decks = verdict ? <Decks axles={vehicle.axles} points={verdict.points} /> : null;
  const runOut = (
    <View style={styles.stack}>
      {wide && state ? (
        <Suspense fallback={null}>
          <StatePanel vehicle={vehicle} trend={state} />
        </Suspense>
      ) : wide && trend ? (
        <Suspense fallback={null}>
          <TrendPanel vehicle={vehicle} trend={trend} rules={today} entries={life.entries} fleet={fleet} />
        </Suspense>
      ) : null}
      {outlook.parts.length > 0 ? (
        <Card>
          <Heading level={2}>Runs out next</Heading>
          {outlook.nextVisit ? (
            <Words size="m" soft>{`Next visit about ${day(outlook.nextVisit)} if it goes on as it did.`}</Words>
          ) : null}
          {outlook.parts.slice(0, MOST_TRENDS).map(({ series, forecast, beforeNext }) => (
            <Pressable
              key={series.key}
              role="link"
              onPress={() => showTrend(series.key)}
              style={[styles.row, { borderColor: palette.rule }]}
            >
              <Words style={styles.grow}>
                {`${`${pointShort(series.point, series.place, axles)} ${words.spot[series.spot]}`.trim()}${
                  beforeNext !== null && beforeNext >= TOLD_CHANCE
                    ? `: ${Math.round(beforeNext * 100)} % before the next visit`
                    : ''
                }`}
              </Words>
              <Label size="l" colour={palette.forecast}>
                {shortWhen(forecast, vehicle.meterUnit)}
              </Label>
            </Pressable>
          ))}
        </Card>
      ) : null}
      <Card>
        <View style={styles.head}>
          <Heading level={2} style={styles.grow}>
            Visits
          </Heading>
          {signed.length > 1 ? (
            <Press label="Compare two" onPress={() => router.push(`/vehicle/${id}/compare`)} />
          ) : null}
        </View>
        {signed.length === 0 ? <Words soft>None signed yet.</Words> : null}
        {[...signed].reverse().map(({ inspection, inspector }) => {
          const grade = grades.get(inspection.id) ?? 'not-seen';
          return (
            <Pressable
              key={inspection.id}
              role="link"
              onPress={() => router.push(`/vehicle/${id}/visit/${inspection.id}/report`)}
              style={[styles.row, { borderColor: palette.rule }]}
            >
              <GradeMark grade={grade} height={30} />
              <Words style={styles.grow}>{`${day(inspection.startedAt)}, ${inspector}`}</Words>
              <Words soft>{`${words.grade[grade]} · ${meterWords(inspection.meter, vehicle.meterUnit)}`}</Words>
            </Pressable>
          );
        })}
      </Card>
    </View>
  );

  return (
    <Page
      title={vehicle.fleetCode}
      back="/"
      width={wide ? 1240 : 640}
      foot={
        <>
          <Press label="Vehicle and spec" onPress={() => router.push(`/vehicle/${id}/edit`)} />
          {open ? (
            <Press
              kind="main"
              label="Go on with the visit"
              onPress={() => router.push(`/vehicle/${id}/visit/${open.inspection.id}`)}
              style={styles.grow}
            />
          ) : (
            <Press
              kind="main"
              label="Begin a visit"
              onPress={() => router.push(`/vehicle/${id}/arrive`)}
              style={styles.grow}
            />
          )}
        </>
      }
    >
      {wide ? (
        <View style={styles.panes}>
          {[
            facts,
            <View key="middle" style={styles.stack}>
              {decks}
              {beside}
            </View>,
            runOut,
          ].map((pane, index) => (
            <ScrollView key={index} style={styles.pane}>
              {pane}
            </ScrollView>
          ))}
        </View>
      ) : (
        <>
          {facts}
          {decks}
          {runOut}
          {beside}
        </>
      )}
    </Page>
  );
}

const styles = StyleSheet.create({
  stack: { gap: SPACE.l },
  row: { minHeight: TOUCH.least, flexDirection: 'row', alignItems: 'center', gap: SPACE.s, borderTopWidth: 1 },
  head: { flexDirection: 'row', alignItems: 'center', gap: SPACE.s },
  grow: { flex: 1 },
  panes: { flexDirection: 'row', gap: SPACE.xl },
  pane: { flex: 1 },
});
