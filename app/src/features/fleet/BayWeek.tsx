import type { YardEntry } from '@weskopos/contract';
import type { VehicleBoard } from '@weskopos/core/outlook';
import { StyleSheet, View } from 'react-native';
import { Card } from '../../kit/Card';
import { FirstOf } from '../../kit/FirstOf';
import { GradeMark } from '../../kit/GradeMark';
import { LinkPress } from '../../kit/LinkPress';
import { SPACE, TOUCH } from '../../kit/tokens';
import { useIsWide, usePalette } from '../../kit/theme';
import { Heading, Label, Words } from '../../kit/Words';
import { common } from '@weskopos/words/en/pages/common';
import { fleet as say } from '@weskopos/words/en/pages/fleet';
import { yard } from '@weskopos/words/en/pages/yard';
import { dateWords, workTime } from '@weskopos/words/show';
import { toDoWords } from '@weskopos/words/toDoWords';
import { taskWords } from '@weskopos/words/workWords';
import { isDue, stops, type AtVehicle } from '../yard/today';
import { useMinute, useTodayOf } from '../yard/useToday';
import { bayWeek, endOfBayWeek } from './bayWeek';

interface BayWeekProps {
  readonly entries: readonly YardEntry[];
  readonly boards: readonly VehicleBoard[];
}

/** The bay's next seven days: who falls due on which, for what, and how long it takes as this workshop works. */
export function BayWeek({ entries, boards }: BayWeekProps) {
  const wide = useIsWide();
  const palette = usePalette();
  const now = useMinute();
  const { due, stopped, whole } = useTodayOf(entries, boards, { until: endOfBayWeek(now), lookedAt: now });
  const { late, days } = bayWeek(due, now);
  const waiting = [...stopped, ...late];
  const told = wide ? days : days.filter(({ vehicles }) => vehicles.length > 0);
  const head = (title: string, minutes: number) => (
    <View style={styles.head}>
      <Label size="l">{title}</Label>
      <Label size="m" soft>
        {minutes > 0 ? workTime(minutes) : '–'}
      </Label>
    </View>
  );
  return (
    <Card>
      <Heading level={2}>{say.bayWeek}</Heading>
      {!whole ? (
        <Words soft role="status">
          {common.addingUp}
        </Words>
      ) : waiting.length === 0 && told.every(({ vehicles }) => vehicles.length === 0) ? (
        <Words soft>{say.nothingComes}</Words>
      ) : null}
      {waiting.length > 0 ? (
        <View style={styles.stack}>
          {head(
            say.overdue,
            waiting.reduce((sum, { minutes }) => sum + minutes, 0),
          )}
          <FirstOf
            items={waiting}
            keyOf={({ entry }) => entry.vehicle.id}
            height={TOUCH.least}
            style={wide ? styles.tiles : null}
            each={wide ? styles.tile : null}
          >
            {(at) => <Coming at={at} now={now} />}
          </FirstOf>
        </View>
      ) : null}
      <View style={wide ? styles.columns : styles.stack}>
        {told.map(({ day, vehicles, minutes }) => (
          <View
            key={day.getTime()}
            style={wide ? [styles.column, styles.day, { borderColor: palette.rule }] : styles.stack}
          >
            {head(dateWords(day, 'weekday'), minutes)}
            <FirstOf items={vehicles} keyOf={({ entry }) => entry.vehicle.id} height={TOUCH.least}>
              {(at) => <Coming at={at} now={now} />}
            </FirstOf>
          </View>
        ))}
      </View>
      <Words size="s" soft>
        {say.minutesFrom}
      </Words>
    </Card>
  );
}

/** A vehicle that comes, and the first of what for. */
function Coming({ at: { entry, list, minutes, planned }, now }: { readonly at: AtVehicle; readonly now: string }) {
  const { vehicle, standing } = entry;
  const [first, ...more] = list.filter((one) => isDue(one) || stops(one));
  const works = planned.map(({ task }) => taskWords(task, vehicle)).join(', ');
  const due = first
    ? `${toDoWords(first, vehicle, now).name}${more.length > 0 ? yard.andMore(more.length) : ''}`
    : yard.turn;
  const what = works || due;
  return (
    <LinkPress
      href={planned.length > 0 ? `/vehicle/${vehicle.id}/works` : `/vehicle/${vehicle.id}`}
      style={styles.coming}
    >
      <GradeMark grade={standing?.grade ?? 'not-seen'} height={30} />
      <View style={styles.grow}>
        <Label size="l">{vehicle.fleetCode}</Label>
        <Words size="s" soft>
          {minutes > 0 ? `${what} · ${workTime(minutes)}` : what}
        </Words>
      </View>
    </LinkPress>
  );
}

const styles = StyleSheet.create({
  stack: { gap: SPACE.s },
  columns: { flexDirection: 'row', gap: SPACE.s, alignItems: 'stretch' },
  column: { flex: 1, gap: SPACE.s },
  day: { borderTopWidth: 1, paddingTop: SPACE.xs },
  tiles: { flexDirection: 'row', flexWrap: 'wrap', gap: SPACE.s },
  tile: { width: '24%' },
  head: { flexDirection: 'row', flexWrap: 'wrap', justifyContent: 'space-between', gap: SPACE.xs },
  coming: { minHeight: TOUCH.least, flexDirection: 'row', alignItems: 'center', gap: SPACE.s },
  grow: { flex: 1 },
});
