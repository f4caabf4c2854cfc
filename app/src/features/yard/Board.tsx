import type { YardEntry } from '@weskopos/contract';
import { remainingS } from '@weskopos/core';
import { memo, type ReactNode } from 'react';
import { StyleSheet, View } from 'react-native';
import { FirstOf } from '../../kit/FirstOf';
import { GradeMark } from '../../kit/GradeMark';
import { Later } from '../../kit/Later';
import { Press } from '../../kit/Press';
import { Slip } from '../../kit/Slip';
import { SPACE } from '../../kit/tokens';
import { gradeColours, usePalette } from '../../kit/theme';
import { Heading, Label } from '../../kit/Words';
import { BoltsDone } from '../../visit/BoltsDone';
import { endTitle } from '@weskopos/words/endTitle';
import { changeSentence } from '@weskopos/words/changeSentence';
import { words } from '@weskopos/words/en';
import { common } from '@weskopos/words/en/pages/common';
import { yard as say } from '@weskopos/words/en/pages/yard';
import { day, templateWords, workTime } from '@weskopos/words/show';
import { dueIn, toDoWords } from '@weskopos/words/toDoWords';
import { taskWords } from '@weskopos/words/workWords';
import { clockWords, useNow } from '../../visit/useNow';
import {
  dueFrom,
  isDue,
  type AnsweredAt,
  type AtVehicle,
  type ChangedAt,
  type NewAt,
  type OnLift,
  type Today,
} from './today';

const MARK = 52;
/** Height of a slip of two lines, px. */
const SLIP = 72;

interface BoardProps extends Omit<Today, 'whole'> {
  /** ISO 8601. */
  readonly now: string;
  readonly seen: () => void;
}

/** What matters now, most urgent first. Drawn anew only when something of it changed: a letter of a search waits for none of it. */
export const Board = memo(function Board({ onLift, stopped, answered, due, fresh, changed, now, seen }: BoardProps) {
  return (
    <>
      <Group title={say.onTheLift} list={onLift}>
        {(one) => <LiftSlip lift={one} />}
      </Group>
      <Group title={say.notToBeDriven} list={stopped}>
        {(one) => <StoppedSlip at={one} now={now} />}
      </Group>
      <Group title={say.answered} list={answered}>
        {(one) => <AnsweredSlip at={one} />}
      </Group>
      <Later>
        <Group title={say.dueBySunday} list={due}>
          {(one) => <DueSlip at={one} now={now} />}
        </Group>
        <Group
          title={say.sinceYouLooked}
          list={fresh}
          aside={<Press kind="quiet" label={say.seenAll} onPress={seen} />}
        >
          {(one) => <NewSlip at={one} />}
        </Group>
        <Group title={common.notAsBefore} list={changed}>
          {(one) => <ChangedSlip at={one} />}
        </Group>
      </Later>
    </>
  );
});

interface GroupProps<T> {
  readonly title: string;
  readonly list: readonly T[];
  readonly aside?: ReactNode;
  readonly children: (one: T) => ReactNode;
}

function Group<T extends ChangedAt | OnLift | AtVehicle | AnsweredAt>({ title, list, aside, children }: GroupProps<T>) {
  if (list.length === 0) return null;
  return (
    <View style={styles.group}>
      <View style={styles.head}>
        <Heading level={2} size="l" soft style={styles.grow}>
          {title}
        </Heading>
        {aside ?? (
          <Label size="l" soft>
            {String(list.length)}
          </Label>
        )}
      </View>
      <FirstOf items={list} keyOf={({ entry }) => entry.vehicle.id} height={SLIP}>
        {children}
      </FirstOf>
    </View>
  );
}

/** What a vehicle is, in a few words. */
const about = ({ vehicle: { make, model, use } }: YardEntry) => [`${make} ${model}`.trim(), use].filter(Boolean);

function LiftSlip({ lift }: { readonly lift: OnLift }) {
  const palette = usePalette();
  const { entry, visitId, template, inspector, seen, of, ends, wait } = lift;
  const { vehicle } = entry;
  const ready = seen === of && ends.length === 0 && !wait;
  const now = useNow(wait ? 1000 : 60_000);
  const left = wait ? remainingS(wait, now) : 0;
  const figure = wait
    ? left > 0
      ? say.running(words.wait[wait.kind], clockWords(left))
      : say.over(words.wait[wait.kind])
    : ready
      ? say.readyToSign
      : say.ofSeen(seen, of);
  const rest = wait ? [say.ofSeen(seen, of)] : [];
  return (
    <Slip
      mark={
        wait ? (
          <View style={[styles.running, { backgroundColor: palette.forecast }]} />
        ) : (
          <GradeMark grade="not-seen" height={MARK} />
        )
      }
      name={vehicle.fleetCode}
      figure={figure}
      figureColour={wait ? palette.forecast : palette.pass}
      why={[...about(entry), templateWords(template), inspector, ...rest].join(' · ')}
      {...(ends.length > 0
        ? { open: say.open(ends.length, ends.map((end) => endTitle(end, vehicle)).join(', ')) }
        : {})}
      href={`/vehicle/${vehicle.id}/visit/${visitId}`}
    />
  );
}

interface AtProps {
  readonly at: AtVehicle;
  readonly now: string;
}

function StoppedSlip({ at: { entry, list }, now }: AtProps) {
  const palette = usePalette();
  const { vehicle } = entry;
  const [first, ...more] = list
    .filter((one) => one.kind === 'finding' && one.stops)
    .map((one) => toDoWords(one, vehicle, now));
  if (!first) return null;
  return (
    <View style={styles.close}>
      <Slip
        mark={<GradeMark grade="fail" height={MARK} />}
        name={vehicle.fleetCode}
        figure={`${first.name}${more.length > 0 ? say.andMore(more.length) : ''}`}
        figureColour={palette.fail}
        why={`${about(entry).join(' · ')}. ${first.why}`}
        href={`/vehicle/${vehicle.id}`}
      />
      <Bolts {...{ list, vehicle }} />
    </View>
  );
}

/** What a keeper said to which works. */
function AnsweredSlip({ at: { entry, works } }: { readonly at: AnsweredAt }) {
  const palette = usePalette();
  const { vehicle } = entry;
  const told = works.map(({ task, state }) => `${taskWords(task, vehicle)}: ${words.worksTold.state[state]}`);
  const agreed = works.every(({ state }) => state === 'agreed');
  return (
    <Slip
      mark={<GradeMark grade={entry.standing?.grade ?? 'not-seen'} height={MARK} />}
      name={vehicle.fleetCode}
      figure={say.answers(works.length)}
      figureColour={agreed ? palette.pass : palette.ink}
      why={told.join(' · ')}
      href={`/vehicle/${vehicle.id}/works`}
    />
  );
}

/** The tick for bolts that want their second torque. */
function Bolts({ list, vehicle: { id, fleetCode } }: Pick<AtVehicle, 'list'> & Pick<YardEntry, 'vehicle'>) {
  return list.some(({ kind }) => kind === 'bolts') ? <BoltsDone vehicleId={id} fleetCode={fleetCode} /> : null;
}

function DueSlip({ at, now }: AtProps) {
  const { entry, list, minutes, planned } = at;
  const palette = usePalette();
  const { vehicle } = entry;
  const due = list.filter(isDue);
  const [first, ...more] = due.map((one) => toDoWords(one, vehicle, now));
  const grade = first?.grade ?? 'recorded';
  const names = first ? `${first.name}${more.length > 0 ? say.andMore(more.length) : ''}` : say.turn;
  const what = planned.length > 0 ? planned.map(({ task }) => taskWords(task, vehicle)).join(', ') : names;
  return (
    <View style={styles.close}>
      <Slip
        mark={<GradeMark grade={entry.standing?.grade ?? 'not-seen'} height={MARK} />}
        name={vehicle.fleetCode}
        figure={planned.length > 0 ? say.planned(day(dueFrom(at))) : first ? first.figure : dueIn(at.turn ?? now, now)}
        figureColour={grade === 'recorded' ? palette.ink : gradeColours(palette, grade).line}
        why={[...about(entry), what, ...(minutes > 0 ? [workTime(minutes)] : [])].join(' · ')}
        href={planned.length > 0 ? `/vehicle/${vehicle.id}/works` : `/vehicle/${vehicle.id}`}
      />
      <Bolts {...{ list, vehicle }} />
    </View>
  );
}

function NewSlip({ at: { entry, signature, changes } }: { readonly at: NewAt }) {
  const palette = usePalette();
  const { vehicle, standing } = entry;
  const grade = standing?.grade ?? 'not-seen';
  const { signedAt, visitId, by } = signature;
  const [change] = changes;
  return (
    <Slip
      mark={<GradeMark grade={grade} height={MARK} />}
      name={vehicle.fleetCode}
      figure={words.grade[grade]}
      figureColour={gradeColours(palette, grade).line}
      why={change ? changeSentence(change, vehicle) : `${about(entry).join(' · ')}. ${say.signedBy(by, day(signedAt))}`}
      href={change ? `/vehicle/${vehicle.id}/wear` : `/vehicle/${vehicle.id}/visit/${visitId}/report`}
    />
  );
}

/** Where it may be the road, the driver or a part: the change most sure of comes first. */
function ChangedSlip({ at: { entry, changes } }: { readonly at: ChangedAt }) {
  const { vehicle, standing } = entry;
  const [first, ...more] = changes;
  if (!first) return null;
  return (
    <Slip
      mark={<GradeMark grade={standing?.grade ?? 'not-seen'} height={MARK} />}
      name={vehicle.fleetCode}
      why={`${changeSentence(first, vehicle)}${more.length > 0 ? say.andMore(more.length) : ''}`}
      href={`/vehicle/${vehicle.id}/wear`}
    />
  );
}

const styles = StyleSheet.create({
  group: { gap: SPACE.s },
  head: { flexDirection: 'row', alignItems: 'center', gap: SPACE.s },
  close: { gap: SPACE.xs },
  running: { width: 8, height: MARK, marginHorizontal: 2 },
  grow: { flex: 1 },
});
