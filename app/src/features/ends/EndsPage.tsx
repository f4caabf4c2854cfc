import { isOpen, looseEnds } from '@weskopos/core';
import { useLocalSearchParams, useRouter } from 'expo-router';
import { StyleSheet, View } from 'react-native';
import { Card } from '../../kit/Card';
import { Page } from '../../shell/Page';
import { Press } from '../../kit/Press';
import { useIsWide, usePalette } from '../../kit/theme';
import { SPACE } from '../../kit/tokens';
import { Heading, Words } from '../../kit/Words';
import { useVisit, type FoundVisit } from '../../sync/useLife';
import { dayAndTime } from '@weskopos/words/show';
import { NotHere } from '../../shell/NotHere';
import { EndCard } from './EndCard';
import { endTitle } from '@weskopos/words/endTitle';
import { OilServiceCard } from './OilServiceCard';
import { OpenEndCard } from './OpenEndCard';
import { StateCard } from './StateCard';
import { useGrading, useVisitPoints } from './useVisitPoints';
import { WaitsCard } from './WaitsCard';
import { ends as say } from '@weskopos/words/en/pages/ends';

/** Loose ends: what is open, what runs by itself, what the vehicle is doing. The first thing an interrupted inspector sees. */
export function EndsPage() {
  const { id, visit: visitId, back } = useLocalSearchParams<{ id: string; visit: string; back?: string }>();
  const found = useVisit(id, visitId);
  // A signed visit is fixed: nothing is opened or closed in it.
  if (!found || !isOpen(found.visit.inspection)) return <NotHere />;
  return <Ends found={found} back={back !== undefined} />;
}

function Ends({ found, back }: { readonly found: FoundVisit; readonly back: boolean }) {
  const router = useRouter();
  const palette = usePalette();
  const wide = useIsWide();
  const { life, visit, rules } = found;
  const grading = useGrading(found);
  const points = useVisitPoints(found);
  const { id: visitId, vehicleId: id } = visit.inspection;
  const { vehicle } = life;
  const walk = `/vehicle/${id}/visit/${visitId}` as const;
  const ends = looseEnds(visit.acts);
  const open = ends.filter(({ closed }) => closed === null);
  const closed = ends.filter((end) => end.closed !== null);
  const byOf = (actId: string) => visit.acts.find((act) => act.id === actId)?.by ?? '';
  return (
    <Page
      title={say.looseEnds}
      over={`${vehicle.fleetCode} · ${vehicle.make} ${vehicle.model}`}
      width={wide ? 1080 : 640}
      foot={<Press kind="main" label={say.toTheWalk} onPress={() => router.replace(walk)} style={styles.grow} />}
    >
      {back ? (
        <Card ground={palette.advisoryWash}>
          <Words role="alert">{say.youWereAwayBeforeGoing}</Words>
        </Card>
      ) : null}
      <View style={wide ? styles.panes : styles.stack}>
        <View style={wide ? styles.pane : styles.stack}>
          <Heading level={2}>{open.length === 0 ? say.nothingIsOpen : `Open: ${open.length}`}</Heading>
          {open.map((end) => (
            <EndCard
              key={end.opened.id}
              end={end}
              openedBy={byOf(end.opened.id)}
              vehicle={vehicle}
              house={rules.house}
              visitId={visitId}
              acts={visit.acts}
            />
          ))}
          <OpenEndCard vehicle={vehicle} visitId={visitId} acts={visit.acts} />
        </View>
        <View style={wide ? styles.pane : styles.stack}>
          <WaitsCard acts={visit.acts} visitId={visitId} />
          <StateCard vehicle={vehicle} visit={visit} grading={grading} />
          <OilServiceCard vehicle={vehicle} house={rules.house} visit={visit} points={points} />
          {closed.length > 0 ? (
            <Card>
              <Heading level={2}>{say.closed}</Heading>
              {closed.map((end) => (
                <Words key={end.opened.id}>
                  {say.closedBy(endTitle(end, vehicle), dayAndTime(end.closed?.at ?? ''), byOf(end.closed?.id ?? ''))}
                </Words>
              ))}
            </Card>
          ) : null}
        </View>
      </View>
    </Page>
  );
}

const styles = StyleSheet.create({
  stack: { gap: SPACE.l },
  panes: { flexDirection: 'row', gap: SPACE.xl, alignItems: 'flex-start' },
  pane: { flex: 1, gap: SPACE.l },
  grow: { flex: 1 },
});
