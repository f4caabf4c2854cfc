import type { PriceList, Vehicle } from '@weskopos/core';
import { costOf } from '@weskopos/core/prices/priceList';
import { money } from '@weskopos/words/priceWords';
import { comesAfter, groupWorks } from '@weskopos/core/works/groupWorks';
import { worksBoard, type OpenWork, type Proposal } from '@weskopos/core/works/proposeWorks';
import { isClosed, taskKey, worksOf } from '@weskopos/core/works/worksOf';
import { useRouter } from 'expo-router';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { Press } from '../../kit/Press';
import { SPACE } from '../../kit/tokens';
import { Heading, Label, Words } from '../../kit/Words';
import { nowIso } from '../../sync/clock';
import { usePrices } from '../../sync/usePrices';
import { putEntry } from '../../visit/putEntry';
import { useLiveWorks } from '../../visit/useLiveWorks';
import { calendar } from '@weskopos/words/en/pages/calendar';
import { dash } from '@weskopos/words/en/pages/dash';
import { spine } from '@weskopos/words/en/pages/spine';
import { works as say } from '@weskopos/words/en/pages/works';
import { workTime } from '@weskopos/words/show';
import { openingWords, taskWords } from '@weskopos/words/workWords';
import { VehiclePage, type SheetProps } from '../sheet/VehiclePage';
import { whatToDo } from '../sheet/whatToDo';
import { ByHand } from './ByHand';
import { CalendarCard } from './CalendarCard';
import { DashCard } from './DashCard';
import { KeeperCard } from './KeeperCard';
import { usedLast } from './usedLast';
import { WorkCard, WorkSlip } from './WorkCard';

type Row = OpenWork | Proposal;
const isWritten = (row: Row): row is OpenWork => 'id' in row;

const writeDown = (vehicleId: string, { task, reasons, urgency, from, to }: Proposal) =>
  putEntry(
    { vehicleId, meter: null },
    { kind: 'work', task, reasons, urgency, from, to, minutes: null, parts: [], note: '' },
  );

/** What is asked on top of the page. */
type Asked = 'work' | 'keeper' | 'calendar' | 'dash';

/** What is to be done at a vehicle, by what is opened once for it: written down, and what follows from what is known. */
export function WorksPage() {
  const [asked, setAsked] = useState<Asked | null>(null);
  const close = () => setAsked(null);
  return (
    <VehiclePage page={spine.page.works} foot={({ life }) => <Foot life={life} onAsk={setAsked} />}>
      {(given) => (
        <>
          {asked === 'work' ? <ByHand vehicleId={given.life.vehicle.id} onDone={close} /> : null}
          {asked === 'dash' ? <DashCard {...given} onDone={close} /> : null}
          {asked === 'calendar' ? <CalendarCard vehicleId={given.life.vehicle.id} onDone={close} /> : null}
          {asked === 'keeper' ? <KeeperCard life={given.life} onDone={close} /> : null}
          <Works {...given} />
          {given.life.vehicle.spec.dashCodes.length > 0 ? (
            <Press kind="quiet" label={dash.title} onPress={() => setAsked('dash')} />
          ) : null}
          <Press kind="quiet" label={calendar.name} onPress={() => setAsked('calendar')} />
        </>
      )}
    </VehiclePage>
  );
}

interface FootProps extends Pick<SheetProps, 'life'> {
  readonly onAsk: (what: Asked) => void;
}

function Foot({ onAsk, life: { vehicle, entries } }: FootProps) {
  const router = useRouter();
  const open = worksOf(entries).filter((work) => !isClosed(work));
  const forCard = open.some(({ state }) => state === 'agreed' || state === 'planned');
  return (
    <>
      <Press label={say.byHand} onPress={() => onAsk('work')} style={styles.grow} />
      {open.length > 0 ? <Press label={say.toKeeper} onPress={() => onAsk('keeper')} style={styles.grow} /> : null}
      {forCard ? (
        <Press
          kind="main"
          label={say.card}
          onPress={() => router.push(`/vehicle/${vehicle.id}/card`)}
          style={styles.grow}
        />
      ) : null}
    </>
  );
}

function Works({ life, sheet }: SheetProps) {
  const { vehicle } = life;
  useLiveWorks(vehicle.id);
  const { proposed, open, closed } = worksBoard(whatToDo(sheet, nowIso()), worksOf(life.entries));
  const list = usePrices()?.list ?? null;
  const lastMeter = sheet.last?.inspection.meter ?? null;
  const [taken, setTaken] = useState<number | null>(null);
  const rows: Row[] = [...open, ...proposed];
  const takeAll = async () => {
    for (const one of proposed) await writeDown(vehicle.id, one);
    setTaken(proposed.length);
  };
  return (
    <>
      {rows.length === 0 ? <Words soft>{say.nothing}</Words> : null}
      {proposed.length > 1 ? <Press label={say.takeAll} onPress={() => void takeAll()} /> : null}
      {taken === null ? null : <Words role="status">{say.takenAll(taken)}</Words>}
      {groupWorks(rows).map(({ opening, works }) => (
        <View key={openingWords(opening, vehicle)} style={styles.group}>
          <View style={styles.line}>
            <Heading level={2}>{openingWords(opening, vehicle)}</Heading>
            <Label soft>{[minutesOf(works), list ? sumOf(works, list) : ''].filter(Boolean).join(' · ')}</Label>
          </View>
          {works.map((row) => {
            const after = afterWords(row, rows, vehicle);
            return isWritten(row) ? (
              <WorkCard
                key={row.id}
                work={row}
                lastNumbers={usedLast(row.task, life.entries)?.numbers ?? ''}
                {...{ vehicle, lastMeter, after, list }}
              />
            ) : (
              <Proposed key={taskKey(row.task)} proposal={row} vehicle={vehicle} after={after} />
            );
          })}
        </View>
      ))}
      {closed.length > 0 ? (
        <View style={styles.group}>
          <Heading level={2}>{say.closed}</Heading>
          {closed.map((work) => (
            <WorkCard key={work.id} work={work} lastNumbers="" {...{ vehicle, lastMeter, list }} />
          ))}
        </View>
      ) : null}
    </>
  );
}

function minutesOf(rows: readonly Row[]): string {
  const minutes = rows.reduce((sum, row) => sum + (isWritten(row) ? (row.minutes ?? 0) : 0), 0);
  return minutes > 0 ? workTime(minutes) : '';
}

/** What the written ones of a group come to together, as far as they have a price. */
function sumOf(rows: readonly Row[], list: PriceList): string {
  const costs = rows.flatMap((row) => (isWritten(row) ? (costOf(row, list) ?? []) : []));
  return costs.length > 0
    ? money(
        costs.reduce((sum, { total }) => sum + total, 0),
        list.currency,
      )
    : '';
}

function afterWords(row: Row, rows: readonly Row[], vehicle: Vehicle): string | undefined {
  const first = rows.filter((other) => other !== row && comesAfter(row.task, other.task));
  return first.length > 0 ? first.map(({ task }) => taskWords(task, vehicle).toLowerCase()).join(', ') : undefined;
}

interface ProposedProps {
  readonly proposal: Proposal;
  readonly vehicle: Vehicle;
  readonly after: string | undefined;
}

function Proposed({ proposal, vehicle, after }: ProposedProps) {
  const [open, setOpen] = useState(false);
  const name = taskWords(proposal.task, vehicle);
  return (
    <View style={styles.proposed}>
      <WorkSlip work={proposal} {...{ vehicle, name, after, open }} state={say.fresh} onPress={() => setOpen(!open)} />
      {open ? (
        <Press label={say.take} hint={say.actOn(say.take, name)} onPress={() => void writeDown(vehicle.id, proposal)} />
      ) : null}
    </View>
  );
}

const styles = StyleSheet.create({
  grow: { flex: 1 },
  group: { gap: SPACE.s },
  line: { flexDirection: 'row', justifyContent: 'space-between', alignItems: 'baseline' },
  proposed: { gap: SPACE.xs },
});
