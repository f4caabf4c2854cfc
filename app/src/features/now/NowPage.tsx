import { isWrong, notToDrive, worstFirst } from '@weskopos/core';
import type { ToDo } from '@weskopos/core/today';
import { useRouter, type Href } from 'expo-router';
import { Suspense, useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { Card } from '../../kit/Card';
import { GradeMark } from '../../kit/GradeMark';
import { Later } from '../../kit/Later';
import { Press } from '../../kit/Press';
import { Slip } from '../../kit/Slip';
import { SPACE } from '../../kit/tokens';
import { gradeColours, useIsWide, usePalette } from '../../kit/theme';
import { Heading, Words } from '../../kit/Words';
import { nowIso } from '../../sync/clock';
import { BoltsDone } from '../../visit/BoltsDone';
import { NotToDrive } from '../../visit/NotToDrive';
import { StandingCard } from '../../visit/StandingCard';
import { changeSentence } from '@weskopos/words/changeSentence';
import { common } from '@weskopos/words/en/pages/common';
import { life as aboutLife } from '@weskopos/words/en/pages/life';
import { sheet as say } from '@weskopos/words/en/pages/sheet';
import { toDoWords } from '@weskopos/words/toDoWords';
import { RunOutCalendar } from '../charts/lazyCharts';
import { Decks } from '../decks/Decks';
import { DECKS, isOnDeck } from '@weskopos/core/decks/deckNames';
import { DueCard } from '../life/DueCard';
import { InferredCard } from '../life/InferredCard';
import { trendPage } from '../sheet/trendPage';
import { whatToDo } from '../sheet/whatToDo';
import { VehiclePage, type SheetProps } from '../sheet/VehiclePage';

/** Of what is to be done is shown before all is asked for. */
const FIRST = 5;

/** May it be driven, what is to be done, what runs out when. */
export function NowPage() {
  const wide = useIsWide();
  return (
    <VehiclePage width={wide ? 1040 : 640} foot={(given) => <Foot {...given} />}>
      {(given) =>
        wide ? (
          <View style={styles.panes}>
            <View style={styles.pane}>
              <Stands {...given} />
              <WhatToDo {...given} />
            </View>
            <View style={styles.pane}>
              <Later>
                <Drawn {...given} />
                <Comes {...given} />
              </Later>
            </View>
          </View>
        ) : (
          <>
            <Stands {...given} />
            <Drawn {...given} most={1} />
            <Later>
              <WhatToDo {...given} />
              <Comes {...given} />
            </Later>
          </>
        )
      }
    </VehiclePage>
  );
}

function Foot({ life: { vehicle }, sheet: { open } }: SheetProps) {
  const router = useRouter();
  const to: Href = open ? `/vehicle/${vehicle.id}/visit/${open.inspection.id}` : `/vehicle/${vehicle.id}/arrive`;
  return (
    <Press
      kind="main"
      label={open ? common.goOnWithTheVisit : common.beginAVisit}
      onPress={() => router.push(to)}
      style={styles.grow}
    />
  );
}

/** May it be driven. */
function Stands({ life: { vehicle }, sheet: { last, standing, outlook } }: SheetProps) {
  const points = standing.points.map(({ graded }) => graded);
  const [change] = outlook.changes;
  if (!last)
    return (
      <Card>
        <Heading level={2}>{common.neverInspected}</Heading>
        <Words>{aboutLife.beginAVisitTheFirst}</Words>
      </Card>
    );
  return (
    <>
      {notToDrive(points).length > 0 ? <NotToDrive points={points} seats={vehicle} /> : null}
      <StandingCard standing={standing} {...(change ? { why: changeSentence(change, vehicle) } : {})} />
    </>
  );
}

/** The floors on which something is wrong, the one with the worst first; the wheels where nothing is. */
function Drawn({ life: { vehicle }, sheet: { last, standing }, most }: SheetProps & { readonly most?: number }) {
  const points = standing.points.map(({ graded }) => graded);
  const wrong = worstFirst(points).filter(({ result }) => isWrong(result.grade));
  const decks = [...new Set(wrong.flatMap((graded) => DECKS.filter((deck) => isOnDeck(deck, graded))))];
  if (!last) return null;
  return <Decks vehicle={vehicle} points={points} only={decks.length > 0 ? decks.slice(0, most) : ['wheels']} />;
}

function WhatToDo({ life: { vehicle }, sheet }: SheetProps) {
  const palette = usePalette();
  const [all, setAll] = useState(false);
  const now = nowIso();
  const list = whatToDo(sheet, now);
  return (
    <View style={styles.stack}>
      <Heading level={2}>{say.whatToDo}</Heading>
      {list.length === 0 ? <Words soft>{say.nothingToDo}</Words> : null}
      {list.slice(0, all ? undefined : FIRST).map((one) => {
        const told = toDoWords(one, vehicle, now);
        return (
          <View key={`${one.kind} ${told.key}`} style={styles.close}>
            <Slip
              mark={<GradeMark grade={told.grade} height={44} />}
              name={told.name}
              figure={told.figure}
              figureColour={gradeColours(palette, told.grade).line}
              why={told.why}
              {...hrefOf(one, vehicle.id, sheet)}
            />
            {one.kind === 'bolts' ? <BoltsDone vehicleId={vehicle.id} fleetCode={vehicle.fleetCode} /> : null}
          </View>
        );
      })}
      {list.length > FIRST && !all ? <Press label={say.andMore(list.length)} onPress={() => setAll(true)} /> : null}
    </View>
  );
}

/** Where more is told of something to be done: its trend, else the visit that found it. */
function hrefOf(one: ToDo, vehicleId: string, { outlook }: SheetProps['sheet']) {
  if (one.kind === 'runs-out') return { href: trendPage(vehicleId, one.part.key) };
  if (one.kind !== 'finding') return {};
  const { point, place } = one.found.graded;
  const series = outlook.series.find((known) => known.point === point && known.place === place);
  const key = series ? outlook.parts.find((part) => part.series.point === point && part.series.place === place) : null;
  return { href: key ? trendPage(vehicleId, key.series.key) : reportOf(vehicleId, one.found.inspectionId) };
}
const reportOf = (vehicleId: string, visitId: string): Href => `/vehicle/${vehicleId}/visit/${visitId}/report`;

/** What runs out when, and what falls due. */
function Comes({ life, sheet: { board, outlook } }: SheetProps) {
  const parts = board.parts.map((part) => ({ ...part, vehicle: board, seats: life.vehicle }));
  return (
    <Suspense fallback={null}>
      {parts.length > 0 ? <RunOutCalendar parts={parts} ofOne={{ nextVisit: outlook.nextVisit }} /> : null}
      <DueCard life={life} />
      <InferredCard vehicle={life.vehicle} series={outlook.series} />
    </Suspense>
  );
}

const styles = StyleSheet.create({
  stack: { gap: SPACE.s },
  close: { gap: SPACE.xs },
  panes: { flexDirection: 'row', gap: SPACE.xl, alignItems: 'flex-start' },
  pane: { flex: 1, gap: SPACE.l },
  grow: { flex: 1 },
});
