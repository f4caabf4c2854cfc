import type { VehicleBoard } from '@weskopos/core/outlook';
import { addWeeks } from 'date-fns/addWeeks';
import { startOfWeek } from 'date-fns/startOfWeek';
import { StyleSheet, View } from 'react-native';
import { Card } from '../../kit/Card';
import { SPACE } from '../../kit/tokens';
import { usePalette } from '../../kit/theme';
import { Heading, Label, Words } from '../../kit/Words';
import { today } from '../charts/fleetPart';
import { fleet as say } from '../../words/en/pages/fleet';
import { dateWords } from '../../words/show';

const WEEKS = 8;
/** Visits a bay takes in a week before it is said to be full. */
const FULL = 4;

/** Who comes when if they go on as they did, by week, so that the bay is not overbooked. */
export function BayLoad({ vehicles }: { readonly vehicles: readonly VehicleBoard[] }) {
  const palette = usePalette();
  const start = startOfWeek(new Date(today()), { weekStartsOn: 1 });
  const due = vehicles.flatMap(({ fleetCode, nextVisit }) =>
    nextVisit ? [{ fleetCode, at: new Date(nextVisit) }] : [],
  );
  const weeks = Array.from({ length: WEEKS }, (_, week) => ({
    from: addWeeks(start, week),
    to: addWeeks(start, week + 1),
  }));
  const late = due.filter(({ at }) => at < start);
  const unknown = vehicles.length - due.length;
  return (
    <Card>
      <Heading level={2}>{say.visitsDue}</Heading>
      {late.length > 0 ? (
        <Words colour={palette.fail} strong>{`Overdue: ${late.map(({ fleetCode }) => fleetCode).join(', ')}`}</Words>
      ) : null}
      {weeks.map(({ from, to }) => {
        const here = due.filter(({ at }) => at >= from && at < to);
        if (here.length === 0) return null;
        return (
          <View key={from.getTime()} style={styles.row}>
            <Label size="m" soft>
              {say.weekOf(dateWords(from, 'dayAndMonth'))}
            </Label>
            <Words size="m" style={styles.grow}>
              {here.map(({ fleetCode }) => fleetCode).join(', ')}
            </Words>
            {here.length > FULL ? (
              <Label size="m" colour={palette.advisory}>
                {say.tooMany(here.length)}
              </Label>
            ) : null}
          </View>
        );
      })}
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
