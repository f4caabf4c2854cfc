import { addDays } from 'date-fns/addDays';
import { formatISO } from 'date-fns/formatISO';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { Choice } from '../../kit/Choice';
import { Press } from '../../kit/Press';
import { SPACE } from '../../kit/tokens';
import { nowIso } from '../../sync/clock';
import { works as say } from '../../words/en/pages/works';
import { dateWords } from '../../words/show';

/** Days that are offered, from today on. */
const AHEAD = 28;

interface PlanDayProps {
  /** Hears an ISO date. */
  readonly onDay: (on: string) => void;
  readonly onLeave: () => void;
}

/** Which day a work is planned for: the next four weeks to choose from. */
export function PlanDay({ onDay, onLeave }: PlanDayProps) {
  const [day, setDay] = useState<string | null>(null);
  const today = new Date(nowIso());
  const days = Array.from({ length: AHEAD }, (_, n) => formatISO(addDays(today, n), { representation: 'date' }));
  return (
    <View style={styles.form}>
      <Choice
        label={say.whichDay}
        options={days}
        word={(one) => dateWords(new Date(one), 'weekday')}
        value={day}
        onChoose={setDay}
        oneLine
      />
      <View style={styles.row}>
        <Press label={say.leave} onPress={onLeave} />
        <Press
          kind="main"
          label={say.keep}
          disabled={day === null}
          onPress={() => (day === null ? undefined : onDay(day))}
          style={styles.grow}
        />
      </View>
    </View>
  );
}

const styles = StyleSheet.create({
  form: { gap: SPACE.s },
  row: { flexDirection: 'row', gap: SPACE.s },
  grow: { flex: 1 },
});
