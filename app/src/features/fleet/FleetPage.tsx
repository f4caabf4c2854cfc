import type { Vehicle } from '@weskopos/core';
import type { VehicleBoard } from '@weskopos/core/outlook';
import { useMemo, useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { Card } from '../../kit/Card';
import { Choice } from '../../kit/Choice';
import { Later } from '../../kit/Later';
import { LinkPress } from '../../kit/LinkPress';
import { Page } from '../../shell/Page';
import { Press } from '../../kit/Press';
import { SPACE, TOUCH } from '../../kit/tokens';
import { useIsWide, usePalette } from '../../kit/theme';
import { useAfterPaint } from '../../kit/useAfterPaint';
import { Heading, Label, Words } from '../../kit/Words';
import { changeKey, changeSentence } from '@weskopos/words/changeSentence';
import { words } from '@weskopos/words/en';
import { amount, day, pointShort, pointName } from '@weskopos/words/show';
import { ExpectedTable } from './ExpectedTable';
import { dueMs, whenOf, type FleetPart } from '../charts/fleetPart';
import { RunOutCalendar } from '../charts/lazyCharts';
import { BayLoad } from './BayLoad';
import { BayWeek } from './BayWeek';
import { StandCard } from './StandCard';
import { VehicleTable } from './VehicleTable';
import { useYard } from '../yard/useYard';
import { useBoard } from './useBoard';
import { fleet as say } from '@weskopos/words/en/pages/fleet';
import { common } from '@weskopos/words/en/pages/common';

const SHOWN = ['all', 'tread', 'lining', 'other'] as const;
type Shown = (typeof SHOWN)[number];
const SHOWN_WORDS: Readonly<Record<Shown, string>> = {
  all: say.allParts,
  tread: say.tyres,
  lining: say.pads,
  other: say.other,
};
/** A part this much harder or milder on its kind than its peers is told. */
const UNLIKE = 1.5;
const MOST = 12;

/** The fleet as a whole: what runs out when, what to order, what wears unlike its peers, who comes next. */
export function FleetPage() {
  const { board: answer, problem, toldAt } = useBoard();
  const wide = useIsWide();
  const [chosen, setShown] = useState<Shown>('all');
  const [chosenOf, setOf] = useState<VehicleBoard['class'] | 'all'>('all');
  // The touch is answered at once, the tables a moment later.
  const shown = useAfterPaint(chosen);
  const of = useAfterPaint(chosenOf);
  const classes = [...new Set((answer?.vehicles ?? []).map((vehicle) => vehicle.class))].sort();
  const vehicles = useMemo(
    () => (answer?.vehicles ?? []).filter((vehicle) => of === 'all' || vehicle.class === of),
    [answer, of],
  );
  const yard = useYard();
  const entries = useMemo(() => yard.filter(({ vehicle }) => of === 'all' || vehicle.class === of), [yard, of]);
  const known = useMemo(() => new Map(yard.map(({ vehicle }) => [vehicle.id, vehicle])), [yard]);
  const parts = useMemo(
    () =>
      vehicles
        .flatMap((vehicle) =>
          vehicle.parts.map((part): FleetPart => ({
            ...part,
            vehicle,
            seats: known.get(vehicle.vehicleId) ?? vehicle.axles,
          })),
        )
        .filter(
          ({ measure }) =>
            shown === 'all' || measure === shown || (shown === 'other' && measure !== 'tread' && measure !== 'lining'),
        )
        .sort((a, b) => dueMs(a) - dueMs(b)),
    [vehicles, shown, known],
  );
  return (
    <Page
      title={common.fleet}
      over={answer ? say.learned(answer.learnedAt ? day(answer.learnedAt) : say.nothingYetBuiltInWear) : ''}

      width={wide ? 1240 : 640}
      foot={wide ? undefined : <Press label={common.print} onPress={() => window.print()} />}
    >
      {problem ? (
        <Words role="alert">
          {!answer ? problem : toldAt ? say.asTold(day(toldAt)) : say.workedOutHere(answer.vehicles.length)}
        </Words>
      ) : null}
      {!answer ? <Words soft>{common.addingUp}</Words> : null}
      {answer ? (
        <>
          <View {...{ dataSet: { print: 'hide' } }} style={styles.choices}>
            <Choice
              label={say.show}
              hideLabel
              options={SHOWN}
              word={(one) => SHOWN_WORDS[one]}
              value={chosen}
              onChoose={setShown}
            />
            {classes.length > 1 ? (
              <Choice
                label={say.classOf}
                hideLabel
                options={['all', ...classes] as const}
                word={(one) => (one === 'all' ? say.allVehicles : words.vehicleClass[one])}
                value={chosenOf}
                onChoose={setOf}
              />
            ) : null}
          </View>
          <Later>
            <BayWeek entries={entries} boards={vehicles} />
          </Later>
          {parts.length === 0 ? (
            <Card>
              <Heading level={2}>{say.nothingToForecastYet}</Heading>
              <Words>{say.aPartIsOnThe}</Words>
            </Card>
          ) : (
            <Later>
              {wide ? <VehicleTable entries={yard} boards={vehicles} /> : null}
              <View style={wide ? styles.panes : styles.stack}>
                <View style={wide ? styles.pane : styles.stack}>
                  <RunOutCalendar parts={parts} />
                  <ExpectedTable parts={parts} />
                </View>
                <View style={wide ? styles.pane : styles.stack}>
                  <StandCard classOf={of} />
                  <Soonest parts={parts} />
                  <UnlikePeers parts={parts} />
                  <NotAsBefore vehicles={vehicles} known={known} />
                  <BayLoad vehicles={vehicles} />
                </View>
              </View>
            </Later>
          )}
        </>
      ) : null}
    </Page>
  );
}

function Soonest({ parts }: { readonly parts: readonly FleetPart[] }) {
  const palette = usePalette();
  // In time: the first of each vehicle is its soonest.
  const byLaw = parts.filter(({ basis }) => basis === 'law');
  const soonest = byLaw.filter(({ vehicle }, index) => byLaw.findIndex((part) => part.vehicle === vehicle) === index);
  if (soonest.length === 0) return null;
  return (
    <Card>
      <Heading level={2}>{say.soonestLimitOfTheLaw}</Heading>
      {soonest.slice(0, MOST).map((part) => (
        <LinkPress
          key={part.vehicle.vehicleId}
          href={`/vehicle/${part.vehicle.vehicleId}/trend/${encodeURIComponent(part.key)}`}
          style={[styles.row, { borderColor: palette.rule }]}
        >
          <Label size="l">{part.vehicle.fleetCode}</Label>
          <Words size="m" style={styles.grow}>
            {`${`${pointShort(part.point, part.place, part.seats)} ${words.spot[part.spot]}`.trim()}, ${amount(part.measure, part.value)}`}
          </Words>
          <Label size="l" colour={part.status === 'reached' ? palette.fail : palette.forecast}>
            {whenOf(part)}
          </Label>
        </LinkPress>
      ))}
    </Card>
  );
}

function UnlikePeers({ parts }: { readonly parts: readonly FleetPart[] }) {
  const unlike = parts
    .filter(({ besidePeers }) => besidePeers !== null && (besidePeers >= UNLIKE || besidePeers <= 1 / UNLIKE))
    .sort((a, b) => (b.besidePeers ?? 0) - (a.besidePeers ?? 0));
  if (unlike.length === 0) return null;
  return (
    <Card>
      <Heading level={2}>{say.unlikeTheirPeers}</Heading>
      {unlike.slice(0, MOST).map((part) => (
        <Words key={`${part.vehicle.vehicleId}${part.key}`} size="m">
          {say.wearsTimesAsFast(
            part.vehicle.fleetCode,
            pointShort(part.point, part.place, part.seats),
            (part.besidePeers ?? 1).toFixed(1),
          )}
        </Words>
      ))}
    </Card>
  );
}

interface NotAsBeforeProps {
  readonly vehicles: readonly VehicleBoard[];
  readonly known: ReadonlyMap<string, Vehicle>;
}

function NotAsBefore({ vehicles, known }: NotAsBeforeProps) {
  const changed = vehicles.flatMap((vehicle) => vehicle.changes.map((change) => ({ vehicle, change })));
  const worse = vehicles.flatMap((vehicle) =>
    vehicle.leaks.filter(({ fate }) => fate === 'worse').map((spot) => ({ vehicle, spot })),
  );
  if (changed.length === 0 && worse.length === 0) return null;
  return (
    <Card>
      <Heading level={2}>{common.notAsBefore}</Heading>
      {changed.map(({ vehicle, change }) => (
        <Words key={`${vehicle.vehicleId}${changeKey(change)}`} size="m">
          {`${vehicle.fleetCode}: ${changeSentence(change, known.get(vehicle.vehicleId) ?? vehicle.axles)}`}
        </Words>
      ))}
      {worse.map(({ vehicle, spot }) => (
        <Words key={`${vehicle.vehicleId}${spot.key}`} size="m">
          {say.changeNow(
            vehicle.fleetCode,
            words.fluid[spot.fluid],
            spot.place ? words.leakPlace[spot.place].toLowerCase() : pointName(spot.point).toLowerCase(),
            words.stage[spot.looks.at(-1)?.stage ?? 'dry'].toLowerCase(),
            words.spotFate.worse,
          )}
        </Words>
      ))}
    </Card>
  );
}

const styles = StyleSheet.create({
  stack: { gap: SPACE.l },
  choices: { gap: SPACE.s },
  panes: { flexDirection: 'row', gap: SPACE.xl, alignItems: 'flex-start' },
  pane: { flex: 1, gap: SPACE.l },
  row: { minHeight: TOUCH.least, flexDirection: 'row', alignItems: 'center', gap: SPACE.s, borderTopWidth: 1 },
  grow: { flex: 1 },
});
