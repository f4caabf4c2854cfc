import { useRouter } from 'expo-router';
import { Suspense, useState } from 'react';
import { Pressable, StyleSheet, View } from 'react-native';
import { followedByEnter } from '../../kit/followedByEnter';
import { Card } from '../../kit/Card';
import { Later } from '../../kit/Later';
import { Saveable } from '../../kit/Saveable';
import { SPACE, TOUCH } from '../../kit/tokens';
import { useIsWide, usePalette } from '../../kit/theme';
import { Heading, Label, Words } from '../../kit/Words';
import { useFleet } from '../../sync/useLife';
import { words } from '@weskopos/words/en';
import { common } from '@weskopos/words/en/pages/common';
import { life as about } from '@weskopos/words/en/pages/life';
import { sheet as say } from '@weskopos/words/en/pages/sheet';
import { shortWhen } from '@weskopos/words/forecastSentence';
import { day, pointShort } from '@weskopos/words/show';
import { RunOutCalendar } from '../charts/lazyCharts';
import { Decks } from '../decks/Decks';
import { ChangesCard } from '../life/ChangesCard';
import { InferredCard } from '../life/InferredCard';
import { PartsCard } from '../life/PartsCard';
import { StatesCard } from '../life/StatesCard';
import { trendPage } from '../sheet/trendPage';
import { VehiclePage, type SheetProps } from '../sheet/VehiclePage';
import { StatePanel } from '../trend/StatePanel';
import { TrendPanel } from '../trend/TrendPanel';

/** A chance to be under the limit before the next visit is told from here on. */
const TOLD_CHANCE = 0.05;

interface WearProps extends SheetProps {
  /** Shows the trend of a series by its key. */
  readonly onTrend: (key: string) => void;
}

/** How it wears: what goes on differently, what runs out when, every series, and what sits where. */
export function WearPage() {
  const wide = useIsWide();
  const router = useRouter();
  const [shown, setShown] = useState<string | null>(null);
  return (
    <VehiclePage page={say.wear} width={wide ? 1040 : 640}>
      {(given) => {
        const { vehicle } = given.life;
        const part: WearProps = {
          ...given,
          onTrend: (key) => (wide ? setShown(key) : router.push(trendPage(vehicle.id, key))),
        };
        return wide ? (
          <View style={styles.panes}>
            <View style={styles.pane}>
              <Going {...part} />
            </View>
            <View style={styles.pane}>
              <Later>
                <ShownTrend {...part} shown={shown} />
                <Sits {...part} />
              </Later>
            </View>
          </View>
        ) : (
          <>
            <Going {...part} />
            <Later>
              <Sits {...part} />
            </Later>
          </>
        );
      }}
    </VehiclePage>
  );
}

/** What goes on differently, and what runs out when. */
function Going({ life: { vehicle }, sheet: { outlook, board }, onTrend }: WearProps) {
  const parts = board.parts.map((part) => ({ ...part, vehicle: board, seats: vehicle }));
  return (
    <Suspense fallback={null}>
      <ChangesCard changes={outlook.changes} leaks={outlook.leaks} axles={vehicle} />
      <InferredCard vehicle={vehicle} series={outlook.series} />
      {parts.length > 0 ? (
        <Saveable name={say.runOutFile(vehicle.fleetCode)}>
          <RunOutCalendar parts={parts} ofOne={{ nextVisit: outlook.nextVisit }} />
        </Saveable>
      ) : (
        <Words soft>{about.beginAVisitTheFirst}</Words>
      )}
      <Later>
        <RunsOutNext {...{ vehicle, outlook, onTrend }} />
        <StatesCard vehicle={vehicle} states={outlook.states} onShow={onTrend} />
      </Later>
    </Suspense>
  );
}

/** The vehicle as it stands, and what sits where since when. */
function Sits({ life, sheet: { outlook, standing, last } }: WearProps) {
  const { vehicle } = life;
  return (
    <Suspense fallback={null}>
      {last ? <Decks vehicle={vehicle} points={standing.points.map(({ graded }) => graded)} /> : null}
      <PartsCard life={life} parts={outlook.parts} meter={last?.inspection.meter ?? null} />
    </Suspense>
  );
}

/** The trend asked for, else of what runs out first. */
function ShownTrend({ life, sheet: { outlook, today }, shown }: WearProps & { readonly shown: string | null }) {
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

interface RunsOutNextProps extends Pick<WearProps, 'onTrend'> {
  readonly vehicle: SheetProps['life']['vehicle'];
  readonly outlook: SheetProps['sheet']['outlook'];
}

function RunsOutNext({ vehicle, outlook, onTrend }: RunsOutNextProps) {
  const palette = usePalette();
  if (outlook.parts.length === 0) return null;
  return (
    <Card>
      <Heading level={2}>{common.runsOutNext}</Heading>
      {outlook.nextVisit ? (
        <Words size="m" soft>
          {about.nextVisitAboutIfIt(day(outlook.nextVisit))}
        </Words>
      ) : null}
      {outlook.parts.map(({ series, forecast, beforeNext }) => (
        <Pressable
          key={series.key}
          role="link"
          {...followedByEnter(() => onTrend(series.key))}
          onPress={() => onTrend(series.key)}
          style={[styles.row, { borderColor: palette.rule }]}
        >
          <Words style={styles.grow}>
            {`${`${pointShort(series.point, series.place, vehicle)} ${words.spot[series.spot]}`.trim()}${
              beforeNext !== null && beforeNext >= TOLD_CHANCE
                ? about.beforeTheNextVisit(Math.round(beforeNext * 100))
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

const styles = StyleSheet.create({
  row: { minHeight: TOUCH.least, flexDirection: 'row', alignItems: 'center', gap: SPACE.s, borderTopWidth: 1 },
  grow: { flex: 1 },
  panes: { flexDirection: 'row', gap: SPACE.xl, alignItems: 'flex-start' },
  pane: { flex: 1, gap: SPACE.l },
});
