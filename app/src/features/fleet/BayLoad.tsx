import type { VehicleBoard } from '@weskopos/core/outlook';
import { addWeeks } from 'date-fns/addWeeks';
import { startOfWeek } from 'date-fns/startOfWeek';
import { StyleSheet, View } from 'react-native';
import { Card } from '../../kit/Card';
import { SPACE } from '../../kit/tokens';
import { Heading, Label, Words } from '../../kit/Words';
import { useBriefs } from '../../sync/useLife';
import { today } from '../charts/fleetPart';
import { fleet as say } from '@weskopos/words/en/pages/fleet';
import { dateWords, workTime } from '@weskopos/words/show';
import { endOfBayWeek } from './bayWeek';

const WEEKS = 8;

/** Who comes when if they go on as they did, by week, with what their visits take, so that the bay is not overbooked. */
export function BayLoad({ vehicles }: { readonly vehicles: readonly VehicleBoard[] }) {
  const briefs = useBriefs();
  const after = new Date(endOfBayWeek(new Date(today()).toISOString()));
  const due = vehicles.flatMap(({ vehicleId, fleetCode, nextVisit }) =>
    nextVisit ? [{ fleetCode, at: new Date(nextVisit), minutes: briefs.get(vehicleId)?.minutes ?? 0 }] : [],
  );
  const start = startOfWeek(after, { weekStartsOn: 1 });
  const weeks = Array.from({ length: WEEKS }, (_, week) => {
    const from = week === 0 ? after : addWeeks(start, week);
    const here = due.filter(({ at }) => at >= from && at < addWeeks(start, week + 1));
    return { from, here, minutes: here.reduce((sum, { minutes }) => sum + minutes, 0) };
  });
  const unknown = vehicles.length - due.length;
  return (
    <Card>
      <Heading level={2}>{say.visitsDue}</Heading>
      {weeks.map(({ from, here, minutes }) =>
        here.length === 0 ? null : (
          <View key={from.getTime()} style={styles.row}>
            <Label size="m" soft>
              {say.weekOf(dateWords(from, 'dayAndMonth'))}
            </Label>
            <Words size="m" style={styles.grow}>
              {here.map(({ fleetCode }) => fleetCode).join(', ')}
            </Words>
            <Label size="m">{workTime(minutes)}</Label>
          </View>
        ),
      )}
      {unknown > 0 ? (
        <Words size="s" soft>
          {say.withoutAPaceYetA(unknown)}
        </Words>
      ) : null}
    </Card>
  );
}

const styles = StyleSheet.create({
  row: { flexDirection: 'row', gap: SPACE.s, alignItems: 'center' },
  grow: { flex: 1 },
});
