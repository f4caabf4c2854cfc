import type { Life, Visit } from '@weskopos/contract';
import {
  isOpen,
  isSigned,
  lifeStanding,
  newestRulebook,
  quantityKey,
  rulesOf,
  verdictOfVisit,
  worstFirst,
  type FleetKnowledge,
  type Rulebook,
} from '@weskopos/core';
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
import { GivenUpNote } from '../../visit/GivenUpNote';
import { PointLine } from '../../visit/PointLine';
import { StandingCard } from '../../visit/StandingCard';
import { NotHere } from '../../shell/NotHere';
import { life as say } from '../../words/en/pages/life';
import { common } from '../../words/en/pages/common';

const MOST_TRENDS = 6;
/** A chance to be under the limit before the next visit is told from here on. */
const TOLD_CHANCE = 0.05;

/** What a life comes to: by its signed visits, under each one's own rules, and what runs out by today's. */
function sheetOf(life: Life, rulebooks: readonly Rulebook[], fleet: FleetKnowledge) {
  const { vehicle, visits, entries } = life;
  const signed = visits.filter(({ inspection }) => isSigned(inspection));
  const rulesOfVisit = (inspection: Visit['inspection']) => rulesFor(rulebooks, inspection);
  const last = signed.at(-1);
  const today = rulesOf(newestRulebook(rulebooks), 'full');
  return {
    signed,
    last,
    open: visits.findLast(({ inspection }) => isOpen(inspection)),
    standing: lifeStanding(life, rulesOfVisit),
    outlook: outlookOf(vehicle, signed, entries, today, fleet),
    today,
    grades: new Map(
      signed.map((visit) => [
        visit.inspection.id,
        verdictOfVisit(vehicle, visit, rulesOfVisit(visit.inspection)).grade,
      ]),
    ),
  };
}
type Sheet = ReturnType<typeof sheetOf>;

/** What every part of the sheet is given. */
interface PartProps {
  readonly life: Life;
  readonly sheet: Sheet;
  /** Shows the trend of a series by its key. */
  readonly onTrend: (key: string) => void;
}

/** One vehicle: its state, worst first, its decks, what runs out, and every visit. */
export function LifeSheet() {
  const { id } = useLocalSearchParams<{ id: string }>();
  const life = useLife(id);
  const rulebooks = useRulebooks();
  const fleet = useFleet();
  const router = useRouter();
  const wide = useIsWide();
  const [shown, setShown] = useState<string | null>(null);
  const sheet = useMemo(() => (life ? sheetOf(life, rulebooks, fleet) : undefined), [life, rulebooks, fleet]);
  if (!life || !sheet) return <NotHere />;
  const { vehicle } = life;
  const standing = sheet.standing.points.map(({ graded }) => graded);
  const onTrend = (key: string) =>
    wide ? setShown(key) : router.push(`/vehicle/${id}/trend/${encodeURIComponent(key)}`);
  const part: PartProps = { life, sheet, onTrend };
  const decks = sheet.last ? <Decks axles={vehicle.axles} points={standing} /> : null;
  const runOut = (
    <View style={styles.stack}>
      {wide ? <ShownTrend {...part} shown={shown} /> : null}
      <RunsOutNext {...part} />
      <Visits {...part} />
    </View>
  );
  return (
    <Page title={vehicle.fleetCode} back="/" width={wide ? 1240 : 640} foot={<Foot vehicleId={id} open={sheet.open} />}>
      {wide ? (
        <View style={styles.panes}>
          <ScrollView style={styles.pane}>
            <Facts {...part} />
          </ScrollView>
          <ScrollView style={styles.pane}>
            <View style={styles.stack}>
              {decks}
              <Beside {...part} />
            </View>
          </ScrollView>
          <ScrollView style={styles.pane}>{runOut}</ScrollView>
        </View>
      ) : (
        <>
          <Facts {...part} />
          {decks}
          {runOut}
          <Beside {...part} />
        </>
      )}
    </Page>
  );
}

function Foot({ vehicleId, open }: { readonly vehicleId: string; readonly open: Visit | undefined }) {
  const router = useRouter();
  return (
    <>
      <Press label={common.vehicleAndSpec} onPress={() => router.push(`/vehicle/${vehicleId}/edit`)} />
      {open ? (
        <Press
          kind="main"
          label={common.goOnWithTheVisit}
          onPress={() => router.push(`/vehicle/${vehicleId}/visit/${open.inspection.id}`)}
          style={styles.grow}
        />
      ) : (
        <Press
          kind="main"
          label={common.beginAVisit}
          onPress={() => router.push(`/vehicle/${vehicleId}/arrive`)}
          style={styles.grow}
        />
      )}
    </>
  );
}

/** What it is, how it stands, and what is worst. */
function Facts({ life: { vehicle }, sheet: { last, standing, outlook }, onTrend }: PartProps) {
  const worst = worstFirst(standing.points.map(({ graded }) => graded));
  const seenAt = new Map(standing.points.map(({ graded, at }) => [graded.key, at]));
  const about = [
    `${vehicle.make} ${vehicle.model}`.trim(),
    last ? meterWords(last.inspection.meter, vehicle.meterUnit) : '',
    vehicle.use,
  ];
  const keys = [...outlook.parts.map(({ series }) => series.key), ...outlook.states.map(({ key }) => key)];
  const toTrendOf = (point: string) => {
    const key = keys.find((one) => one.startsWith(`${point}:`));
    if (key) onTrend(key);
  };
  return (
    <View style={styles.stack}>
      <View>
        <Words soft>{[words.vehicleClass[vehicle.class], vehicle.year, vehicle.plate].join(' · ')}</Words>
        <Words>{about.filter(Boolean).join(' · ')}</Words>
      </View>
      {last ? (
        <StandingCard standing={standing} />
      ) : (
        <Card>
          <Heading level={2}>{common.neverInspected}</Heading>
          <Words>{say.beginAVisitTheFirst}</Words>
        </Card>
      )}
      {worst.length > 0 ? (
        <Card>
          <Heading level={2}>{common.worstFirst}</Heading>
          {worst.map((graded) => (
            <Pressable key={graded.key} role="link" onPress={() => toTrendOf(quantityKey(graded.point, graded.place))}>
              <PointLine graded={graded} axles={vehicle} seenAt={seenAt.get(graded.key)} brief />
            </Pressable>
          ))}
        </Card>
      ) : null}
    </View>
  );
}

function Beside({ life, sheet: { last, outlook }, onTrend }: PartProps) {
  const { vehicle } = life;
  const meter = last?.inspection.meter ?? null;
  return (
    <Suspense fallback={null}>
      <DueCard life={life} />
      <ChangesCard changes={outlook.changes} leaks={outlook.leaks} axles={vehicle} />
      <InferredCard vehicle={vehicle} series={outlook.series} />
      <PartsCard life={life} parts={outlook.parts} meter={meter} />
      <StatesCard vehicle={vehicle} states={outlook.states} onShow={onTrend} />
      <LogCard life={life} lastMeter={meter} />
    </Suspense>
  );
}

/** The trend asked for, else of what runs out first. */
function ShownTrend({ life, sheet: { outlook, today }, shown }: PartProps & { readonly shown: string | null }) {
  const fleet = useFleet();
  const { vehicle, entries } = life;
  const state = outlook.states.find(({ key }) => key === shown);
  const trend = outlook.parts.find(({ series }) => series.key === shown) ?? outlook.parts[0];
  if (!state && !trend) return null;
  return (
    <Suspense fallback={null}>
      {state ? (
        <StatePanel vehicle={vehicle} trend={state} />
      ) : trend ? (
        <TrendPanel vehicle={vehicle} trend={trend} rules={today} entries={entries} fleet={fleet} />
      ) : null}
    </Suspense>
  );
}

function RunsOutNext({ life: { vehicle }, sheet: { outlook }, onTrend }: PartProps) {
  const palette = usePalette();
  if (outlook.parts.length === 0) return null;
  return (
    <Card>
      <Heading level={2}>{common.runsOutNext}</Heading>
      {outlook.nextVisit ? (
        <Words size="m" soft>
          {say.nextVisitAboutIfIt(day(outlook.nextVisit))}
        </Words>
      ) : null}
      {outlook.parts.slice(0, MOST_TRENDS).map(({ series, forecast, beforeNext }) => (
        <Pressable
          key={series.key}
          role="link"
          onPress={() => onTrend(series.key)}
          style={[styles.row, { borderColor: palette.rule }]}
        >
          <Words style={styles.grow}>
            {`${`${pointShort(series.point, series.place, vehicle)} ${words.spot[series.spot]}`.trim()}${
              beforeNext !== null && beforeNext >= TOLD_CHANCE
                ? say.beforeTheNextVisit(Math.round(beforeNext * 100))
                : ''
            }`}
          </Words>
          <Label size="l" colour={palette.forecast}>
            {shortWhen(forecast, vehicle.meterUnit)}
          </Label>
        </Pressable>
      ))}
    </Card>
  );
}

function Visits({ life: { vehicle, visits }, sheet: { signed, grades } }: PartProps) {
  const router = useRouter();
  const palette = usePalette();
  return (
    <Card>
      <View style={styles.head}>
        <Heading level={2} style={styles.grow}>
          {say.visits}
        </Heading>
        {signed.length > 1 ? (
          <Press label={say.compareTwo} onPress={() => router.push(`/vehicle/${vehicle.id}/compare`)} />
        ) : null}
      </View>
      {signed.length === 0 ? <Words soft>{say.noneSignedYet}</Words> : null}
      {[...signed].reverse().map(({ inspection, inspector }) => {
        const grade = grades.get(inspection.id) ?? 'not-seen';
        return (
          <Pressable
            key={inspection.id}
            role="link"
            onPress={() => router.push(`/vehicle/${vehicle.id}/visit/${inspection.id}/report`)}
            style={[styles.row, { borderColor: palette.rule }]}
          >
            <GradeMark grade={grade} height={30} />
            <Words style={styles.grow}>{`${day(inspection.startedAt)}, ${inspector}`}</Words>
            <Words soft>{`${words.grade[grade]} · ${meterWords(inspection.meter, vehicle.meterUnit)}`}</Words>
          </Pressable>
        );
      })}
      {visits
        .filter(({ inspection }) => inspection.voidedAt !== null)
        .map((visit) => (
          <GivenUpNote key={visit.inspection.id} visit={visit} />
        ))}
    </Card>
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
